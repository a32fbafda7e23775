// Whole designs: kept by name in the job, compared and put in place by the core.
import { send } from './http';
import type { JobDesk } from './job-desk.svelte';
import type { DesignDocument, JobDocument } from './job-document';
import type { SearchDesign, TubeRun } from './plan';

export type Comparison = { name: string; design: DesignDocument; runs: { letter: string; run: TubeRun }[] };

/** Designs beside each other: what the core measured of each, row by row, and which is best in it. */
export type ComparisonTable = {
    designs: Comparison[];
    rows: { label: string; cells: { text: string; isBest: boolean }[] }[];
};

/** A found design as it would be kept. */
export function designOf(found: SearchDesign, name: string): DesignDocument {
    return {
        name,
        note: '',
        runs: found.runs.map(({ letter, at, direction, route }) => ({ letter, at, direction, route })),
    };
}

/** Kept under a name that says what it is, to be renamed at will. */
export function keptAs(design: DesignDocument): DesignDocument {
    return { ...design, name: `${design.runs.map((run) => run.route.bends.length).join(' + ')} bends` };
}

export type RoutesRead = {
    design: DesignDocument | null;
    rejected: { line: number; text: string; why: string }[];
};

/** What routes from elsewhere would become; changes nothing. */
export async function readRoutes(desk: JobDesk, text: string): Promise<RoutesRead | string> {
    const reply = await send<RoutesRead>('POST', `/jobs/${desk.view.id}/read-routes`, {
        document: desk.document,
        text,
    });
    if (reply.ok) return reply.data;
    return 'errors' in reply ? (Object.values(reply.errors)[0]?.[0] ?? reply.message) : reply.message;
}

export async function compareDesigns(
    desk: JobDesk,
    designs: DesignDocument[],
    withCurrent: boolean,
): Promise<ComparisonTable | string> {
    const reply = await send<ComparisonTable>('POST', `/jobs/${desk.view.id}/designs/compare`, {
        document: desk.document,
        designs,
        withCurrent,
    });
    return reply.ok ? reply.data : reply.message;
}

/** Takes a design over: each run its route, and the end it goes to. */
export async function takeDesign(desk: JobDesk, design: DesignDocument): Promise<void> {
    const reply = await send<{ document: JobDocument }>('POST', `/jobs/${desk.view.id}/designs/take`, {
        document: desk.document,
        design,
    });
    if (reply.ok) await desk.replace(reply.data.document);
    else desk.failure = reply.message;
}

export function keepDesign(desk: JobDesk, design: DesignDocument): Promise<void> {
    return desk.edit((document) => {
        document.set ??= { collectors: [], keepOuts: [], lengths: [] };
        const kept = (document.set.designs ??= []);
        let name = design.name;
        for (let n = 2; kept.some((one) => one.name === name); n++) name = `${design.name} ${n}`;
        kept.push({ ...design, name });
    });
}

export function dropDesign(desk: JobDesk, name: string): Promise<void> {
    return desk.edit((document) => {
        if (document.set) document.set.designs = document.set.designs?.filter((one) => one.name !== name);
    });
}

export function renameDesign(desk: JobDesk, from: string, to: string): Promise<void> {
    return desk.edit((document) => {
        const one = document.set?.designs?.find((it) => it.name === from);
        if (one && to.trim() !== '') one.name = to.trim();
    });
}
