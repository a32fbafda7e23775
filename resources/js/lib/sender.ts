const FIRST_PAUSE_MS = 2000;
const MOST_PAUSE_MS = 30_000;

/**
 * Does one kind of work, once at a time over all tabs where the browser can, and once more where it was asked for
 * meanwhile. After a failure it comes back by itself, less and less often.
 */
export class Sender {
    #wanted = false;
    #running: Promise<void> | null = null;
    #pause = FIRST_PAUSE_MS;
    #timer: ReturnType<typeof setTimeout> | undefined;

    constructor(
        private readonly name: string,
        private readonly work: () => Promise<void>,
    ) {}

    /** Done when there is nothing more to do, or no way to. */
    start(): Promise<void> {
        clearTimeout(this.#timer);
        this.#wanted = true;
        this.#running ??= this.#run().finally(() => (this.#running = null));
        return this.#running;
    }

    /** Something went through: the next failure is the first again. */
    succeeded(): void {
        this.#pause = FIRST_PAUSE_MS;
    }

    later(): void {
        clearTimeout(this.#timer);
        this.#timer = setTimeout(() => void this.start(), this.#pause);
        this.#pause = Math.min(2 * this.#pause, MOST_PAUSE_MS);
    }

    async #run(): Promise<void> {
        while (this.#wanted) {
            this.#wanted = false;
            await (navigator.locks ? navigator.locks.request(this.name, this.work) : this.work());
        }
    }
}
