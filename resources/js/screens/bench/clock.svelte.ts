// A countdown (purge, cooling) or a stopwatch (arc) that goes on through a reload.

type Stored = { step: string; startedAt: number | null; gone: number };

const TICK_MS = 250;

export class StepClock {
    now = $state(Date.now());
    #state = $state.raw<Stored>({ step: '', startedAt: null, gone: 0 });
    readonly #key: string;
    #timer: ReturnType<typeof setInterval> | undefined;

    constructor(jobId: number) {
        this.#key = `bead-clock-${jobId}`;
        try {
            this.#state = JSON.parse(localStorage.getItem(this.#key) ?? 'null') ?? this.#state;
        } catch {
            // A clock that cannot be read starts from nothing.
        }
        this.#timer = setInterval(() => (this.now = Date.now()), TICK_MS);
    }

    close(): void {
        clearInterval(this.#timer);
    }

    for(step: string): number {
        if (this.#state.step !== step) return 0;
        const running = this.#state.startedAt === null ? 0 : Math.max(0, this.now - this.#state.startedAt);
        return (this.#state.gone + running) / 1000;
    }

    isRunning(step: string): boolean {
        return this.#state.step === step && this.#state.startedAt !== null;
    }

    toggle(step: string): void {
        this.now = Date.now();
        const gone = this.for(step) * 1000;
        this.#keep({ step, gone, startedAt: this.isRunning(step) ? null : Date.now() });
    }

    stop(step: string): void {
        if (this.isRunning(step)) this.toggle(step);
    }

    reset(step: string): void {
        this.#keep({ step, gone: 0, startedAt: null });
    }

    #keep(state: Stored): void {
        this.#state = state;
        try {
            localStorage.setItem(this.#key, JSON.stringify(state));
        } catch {
            // See above.
        }
    }
}

export function clockText(seconds: number): string {
    const whole = Math.max(0, Math.ceil(seconds));
    return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
