// Countdowns (purge) and stopwatches (arc), as many as are wanted at once; they go on through a reload.

type Stored = { startedAt: number | null; gone: number };

const TICK_MS = 250;

function isStored(value: unknown): value is Stored {
    if (typeof value !== 'object' || value === null) return false;
    const { startedAt, gone } = value as Partial<Stored>;
    return typeof gone === 'number' && (startedAt === null || typeof startedAt === 'number');
}

export class StepClocks {
    now = $state(Date.now());
    #all = $state.raw<Record<string, Stored>>({});
    readonly #key: string;
    #timer: ReturnType<typeof setInterval> | undefined;

    constructor(jobId: number) {
        this.#key = `bead-clocks-${jobId}`;
        this.#read(localStorage.getItem(this.#key));
        this.#timer = setInterval(() => (this.now = Date.now()), TICK_MS);
        window.addEventListener('storage', this.#heard);
    }

    close(): void {
        clearInterval(this.#timer);
        window.removeEventListener('storage', this.#heard);
    }

    /** Seconds. */
    for(step: string): number {
        const one = this.#all[step];
        if (!one) return 0;
        const running = one.startedAt === null ? 0 : Math.max(0, this.now - one.startedAt);
        return (one.gone + running) / 1000;
    }

    isRunning(step: string): boolean {
        return typeof this.#all[step]?.startedAt === 'number';
    }

    /** Ids of steps whose clock goes. */
    get running(): string[] {
        return Object.keys(this.#all).filter((step) => this.isRunning(step));
    }

    toggle(step: string): void {
        this.now = Date.now();
        const gone = this.for(step) * 1000;
        this.#keep(step, { gone, startedAt: this.isRunning(step) ? null : Date.now() });
    }

    stop(step: string): void {
        if (this.isRunning(step)) this.toggle(step);
    }

    reset(step: string): void {
        this.#keep(step, null);
    }

    #keep(step: string, state: Stored | null): void {
        const rest = Object.entries(this.#all).filter(([id]) => id !== step);
        this.#all = Object.fromEntries(state ? [...rest, [step, state]] : rest);
        try {
            localStorage.setItem(this.#key, JSON.stringify(this.#all));
        } catch {
            // A clock that cannot be kept goes on as long as the page is open.
        }
    }

    /** Another tab of this bench. */
    #heard = (event: StorageEvent): void => {
        if (event.key === this.#key) this.#read(event.newValue);
    };

    #read(text: string | null): void {
        try {
            const found: unknown = JSON.parse(text ?? '{}');
            const all = typeof found === 'object' && found !== null ? Object.entries(found) : [];
            this.#all = Object.fromEntries(all.filter(([, one]) => isStored(one)));
        } catch {
            // Clocks that cannot be read start from nothing.
        }
    }
}

export function clockText(seconds: number): string {
    const whole = Math.max(0, Math.ceil(seconds));
    const rest = `${String(Math.floor(whole / 60) % 60).padStart(whole < 3600 ? 1 : 2, '0')}:${String(whole % 60).padStart(2, '0')}`;
    return whole < 3600 ? rest : `${Math.floor(whole / 3600)}:${rest}`;
}
