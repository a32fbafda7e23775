// Keeps the screen on as long as the bench is looked at, where the device lets a page do so.

export function keepAwake(): () => void {
    let lock: WakeLockSentinel | null = null;
    let isOver = false;
    const ask = async () => {
        if (isOver || document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
        try {
            lock = await navigator.wakeLock.request('screen');
            if (isOver) await lock.release();
        } catch {
            // Low battery, or not allowed here: the screen goes dark as it otherwise does.
        }
    };
    void ask();
    // A lock is lost whenever the page is hidden.
    document.addEventListener('visibilitychange', ask);
    return () => {
        isOver = true;
        document.removeEventListener('visibilitychange', ask);
        void lock?.release();
    };
}
