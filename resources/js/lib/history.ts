// Whether the page that now stands was reached by Back or Forward rather than by a visit.

const [arrival] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
let back = arrival?.type === 'back_forward';

window.addEventListener('popstate', () => (back = true), { capture: true });
document.addEventListener('inertia:start', () => (back = false));

export const cameBack = (): boolean => back;
