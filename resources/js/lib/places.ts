// Where in the screens a place of the job document is edited, so that what was refused can be led to.
import type { JobDocument, Stage } from './answers';

/** In the order of the work. */
export const STAGES: Stage[] = ['survey', 'route', 'merge', 'cut', 'fit', 'weld', 'bench', 'handover'];

/** The stage whose screen has the field for a place such as `runs[2].route.bends[0].angle`. */
export function stageOf(path: string, document: JobDocument): Stage {
    const override = /^overrides\[(\d+)\]/.exec(path);
    if (override) {
        const [kind] = (document.overrides[Number(override[1])]?.figure ?? '').split('.');
        if (kind === 'build' || kind === 'growth') return 'fit';
        return kind === 'cut' || kind === 'merge' ? kind : 'weld';
    }
    if (
        /^set\.collectors\[\d+\]\.build/.test(path) ||
        /^runs\[\d+\]\.(start|end)\.(saddle|slant|plate)/.test(path)
    )
        return 'merge';
    if (path.startsWith('build.') || /^set\.(parts|hangers)/.test(path)) return 'fit';
    if (/^runs\[\d+\]\.route/.test(path) || path.startsWith('set.routing')) return 'route';
    return 'survey';
}

/** The run that a place belongs to, as its index in the document. */
export function runAt(path: string): number | null {
    const found = /^runs\[(\d+)\]/.exec(path);
    return found ? Number(found[1]) : null;
}

/** How a person would name a place. */
export function nameOf(path: string, document: JobDocument): string {
    const run = runAt(path);
    const rest = path
        .replace(/^runs\[\d+\]\.?/, '')
        .replace(/\[(\d+)\]/g, (_, index: string) => ` ${Number(index) + 1}`)
        .replace(/\./g, ', ')
        .replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`);
    return run === null ? rest : `run ${document.runs[run]?.letter ?? run + 1}, ${rest}`;
}
