// The least of a job that a desk can be opened with.
import type {
    CollectorPlan,
    EndDocument,
    EndKind,
    JobDocument,
    JobView,
    Plan,
    RunDocument,
    RunPlan,
} from '@/lib/answers';

export function someDocument(change: Partial<JobDocument> = {}): JobDocument {
    const end = (kind: EndKind, x: number): EndDocument => ({
        kind,
        name: '',
        at: [x, 0, 0],
        direction: [1, 0, 0],
        metal: '304L',
        wall: 3,
    });
    const run = (letter: string): RunDocument => ({
        letter,
        name: '',
        tube: 'T',
        start: end('flange', 0),
        end: end('open', 500),
        route: null,
        fittings: [],
    });
    return {
        format: 'upswept-bead/job',
        version: 1,
        job: {
            number: 'TB-1',
            title: 'One',
            customer: '',
            vehicle: '',
            purpose: 'header',
            units: 'metric',
            metal: '304L',
            note: '',
        },
        runs: [run('A'), run('B')],
        set: { collectors: [], keepOuts: [], lengths: [] },
        overrides: [],
        ...change,
    };
}

export function somePlan(): Plan {
    const run = (letter: string) =>
        ({
            letter,
            joints: [{ id: `${letter}J1` }, { id: `${letter}J2` }],
            pieces: [{ mark: `${letter}1` }],
        }) as unknown as RunPlan;
    const collector = {
        letter: 'K',
        joints: [{ id: 'KJ1' }],
        pieces: [{ mark: 'K1' }],
    } as unknown as CollectorPlan;
    return {
        runs: [run('A'), run('B')],
        merge: { collectors: [collector], branches: [], slants: [], flanges: [] },
        notices: [],
        fit: {
            ordered: false,
            reached: false,
            trial: [],
            trialCaution: '',
            tasks: [],
            access: [],
            closed: [],
        },
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
        made: null,
        bench: null,
        search: null,
        ...change,
    };
}
