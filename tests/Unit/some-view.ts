// The least of a job that a desk can be opened with.
import type { JobDocument, JobView, Plan, RunPlan } from '@/lib/plan';

export function someDocument(change: Partial<JobDocument> = {}): JobDocument {
    const run = (letter: string) => ({ letter, name: '', tube: 'T', route: null, fittings: [] });
    return {
        format: 'upswept-bead/job',
        version: 1,
        job: { number: 'TB-1', title: 'One', units: 'metric', note: '' },
        runs: [run('A'), run('B')],
        overrides: [],
        ...change,
    } as unknown as JobDocument;
}

export function somePlan(): Plan {
    const run = (letter: string) =>
        ({
            letter,
            joints: [{ id: `${letter}J1` }, { id: `${letter}J2` }],
            pieces: [{ mark: `${letter}1` }],
        }) as unknown as RunPlan;
    return {
        runs: [run('A'), run('B')],
        notices: [],
        fit: { ordered: false, trialFit: [], steps: [] },
        weld: { sheets: [] },
        schedule: { slots: [] },
    } as unknown as Plan;
}

export function someView(change: Partial<JobView> = {}): JobView {
    return {
        id: 7,
        revision: { number: 1, status: 'draft', version: 3, releasedAt: null },
        releasedNumber: null,
        document: someDocument(),
        plan: somePlan(),
        units: 'metric',
        next: { stage: 'route', group: '', text: '' },
        bench: null,
        search: null,
        ...change,
    };
}
