import type { Answers } from './answers';
import { send, type Reply } from './http';

/** Before it is asked again what the server is still working out for this person, and how often. */
export const AGAIN_MS = 2000;
const AGAIN_TIMES = 30;

/** Sends what the server does for a person one piece after the other; waits until it is its turn. */
export async function sendInTurn<K extends keyof Answers | null>(
    ...asked: Parameters<typeof send<K>>
): Promise<Reply<K extends keyof Answers ? Answers[K] : unknown>> {
    for (let i = 0; ; i++) {
        const reply = await send(...asked);
        if (reply.ok || reply.status !== 429 || i === AGAIN_TIMES) return reply;
        await new Promise((done) => setTimeout(done, AGAIN_MS));
    }
}
