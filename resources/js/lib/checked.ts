// Whether an answer is what docs/schemas say of it. The checks are loaded with the first answer that needs them.
import checks from 'virtual:answer-checks';
import type { Answers } from './answers';

/** What is wrong with an answer, for a person to read; null where it is what it should be. */
export async function checked(name: keyof Answers, answer: unknown): Promise<string | null> {
    const check = (await checks[name]()).default[name];
    if (!check || check(answer)) return null;
    const first = check.errors?.[0];
    const place = first?.instancePath ? ` at ${first.instancePath.slice(1)}` : '';
    return `The server answered something that this page does not know (${name}${place}: ${first?.keyword ?? '?'}). Reload the page; what was saved is safe.`;
}
