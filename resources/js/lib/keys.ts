// Keys work anywhere but where a person is typing, or where a dialog has the floor.

export type Keys = Record<string, () => void>;

function isTyping(target: EventTarget | null): boolean {
    return (
        target instanceof HTMLElement &&
        (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
    );
}

/** 'mod+z' stands for Ctrl or Command; single characters need no modifier. */
export function onKeys(keys: Keys): (event: KeyboardEvent) => void {
    return (event) => {
        if (isTyping(event.target) || event.altKey || document.querySelector('[role="dialog"]')) return;
        const mod = event.ctrlKey || event.metaKey;
        const name = mod ? `mod+${event.shiftKey ? 'shift+' : ''}${event.key.toLowerCase()}` : event.key;
        const action = keys[name];
        if (!action) return;
        event.preventDefault();
        action();
    };
}
