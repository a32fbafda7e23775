// Light for the desk, dark for the booth; remembered on this device.

export type Theme = 'light' | 'bench';

const KEY = 'bead-theme';

export const theme = $state<{ current: Theme }>({ current: 'light' });

export function applyTheme(next?: Theme): void {
    let stored: string | null = null;
    try {
        stored = localStorage.getItem(KEY);
        if (next) localStorage.setItem(KEY, next);
    } catch {
        // Storage may be closed to us; the theme then lasts as long as the page.
    }
    theme.current = next ?? (stored === 'bench' ? 'bench' : 'light');
    document.documentElement.dataset['theme'] = theme.current;
}

export function toggleTheme(): void {
    applyTheme(theme.current === 'light' ? 'bench' : 'light');
}
