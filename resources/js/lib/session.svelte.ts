import type { Person } from './answers';
import { said, sendOnce, whenSignedOut } from './http';

/** Who is signed in here, and how a page that lost its session gets it back without being left. */
class Session {
    person = $state.raw<Person | null>(null);
    /** Asks for the password over whatever page is open. */
    asking = $state(false);

    #settle: ((isBack: boolean) => void) | null = null;
    #asked: Promise<boolean> | null = null;

    /** Whether the same person is signed in again, so that what was refused can be sent once more. */
    restored(): Promise<boolean> {
        if (!this.person) return Promise.resolve(false);
        this.#asked ??= this.#restore().finally(() => (this.#asked = null));
        return this.#asked;
    }

    async #restore(): Promise<boolean> {
        const reply = await sendOnce('GET', '/session', 'Session');
        if (!reply.ok) return false;
        if (reply.data.person) return this.#isSame(reply.data.person);
        this.asking = true;
        return new Promise((settle) => (this.#settle = settle));
    }

    /** Looks whether the session still stands, when the page has been out of sight for a while. */
    async check(): Promise<void> {
        const reply = this.person ? await sendOnce('GET', '/session', 'Session') : null;
        if (!reply?.ok) return;
        if (reply.data.person) this.#isSame(reply.data.person);
        else void this.restored();
    }

    /** What is wrong, or nothing once the page can go on. */
    async signIn(email: string, password: string): Promise<string> {
        const post = () => sendOnce('POST', '/sign-in', 'Session', { email, password });
        let reply = await post();
        // Each answer without a session begins one: where another came meanwhile our token is of the one before. A
        // refusal brings no token, so it is asked for.
        if (!reply.ok && reply.status === 419) {
            await sendOnce('GET', '/session', 'Session');
            reply = await post();
        }
        if (!reply.ok) return reply.status === 429 ? 'Too many tries; wait a minute.' : said(reply);
        if (!reply.data.person || !this.#isSame(reply.data.person)) return '';
        this.#done(true);
        return '';
    }

    /** The page stays as it is; nothing is sent until somebody signs in. */
    putOff(): void {
        this.#done(false);
    }

    #done(isBack: boolean): void {
        this.asking = false;
        this.#settle?.(isBack);
        this.#settle = null;
    }

    /** What is on the page is the work of the one who opened it: for somebody else it is opened anew. */
    #isSame(found: Person): boolean {
        if (found.id === this.person?.id) return true;
        location.reload();
        return false;
    }
}

export const session = new Session();
whenSignedOut(() => session.restored());
