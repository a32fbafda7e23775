// Whether an answer is what docs/schemas say of it.
import checks from 'virtual:answer-checks';
import type { Answers } from './answers';

/** What is wrong with an answer, for a person to read; null where it is what it should be. */
export function checked(name: keyof Answers, answer: unknown): string | null {
    const check = checks[name];
    if (check(answer)) return null;
    const first = check.errors?.[0];
    const place = first?.instancePath ? ` at ${first.instancePath.slice(1)}` : '';
    return `The server answered something that this page does not know (${name}${place}: ${first?.keyword ?? '?'}). Reload the page; what was saved is safe.`;
}
