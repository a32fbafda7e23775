// While something is dragged answers come slower than wishes: one goes out at a time, then the newest there is.

export function newest<T>(send: (wish: T) => Promise<void>): (wish: T) => Promise<void> {
    let waiting: { wish: T } | null = null;
    let busy: Promise<void> | null = null;
    return (wish) => {
        waiting = { wish };
        busy ??= (async () => {
            while (waiting) {
                const next: { wish: T } = waiting;
                waiting = null;
                await send(next.wish);
            }
            busy = null;
        })();
        return busy;
    };
}
