// Whole designs: kept by name in the job, compared and put in place by the core.
import { said, send } from './http';
import { sendInTurn } from './in-turn';
import type { JobDesk } from './job-desk.svelte';
import type { ComparisonTable, DesignDocument, FoundDesign, RoutesRead } from './answers';

/** A found design as it would be kept. */
export function designOf(found: FoundDesign, name: string): DesignDocument {
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

/** What routes from elsewhere would become; changes nothing. */
export async function readRoutes(desk: JobDesk, text: string): Promise<RoutesRead | string> {
    const reply = await send('POST', `/jobs/${desk.view.id}/read-routes`, 'RoutesRead', {
        document: desk.document,
        text,
    });
    return reply.ok ? reply.data : said(reply);
}

export async function compareDesigns(
    desk: JobDesk,
    designs: DesignDocument[],
    withCurrent: boolean,
): Promise<ComparisonTable | string> {
    const reply = await sendInTurn('POST', `/jobs/${desk.view.id}/designs/compare`, 'ComparisonTable', {
        document: desk.document,
        designs,
        withCurrent,
    });
    return reply.ok ? reply.data : reply.message;
}

/** Takes a design over: each run its route, and the end it goes to. */
export async function takeDesign(desk: JobDesk, design: DesignDocument): Promise<void> {
    const reply = await send('POST', `/jobs/${desk.view.id}/designs/take`, 'Changed', {
        document: desk.document,
        design,
    });
    if (reply.ok) await desk.replace(reply.data.document);
    else desk.failure = reply.message;
}

export function keepDesign(desk: JobDesk, design: DesignDocument): Promise<void> {
    return desk.edit((document) => {
        const kept = (document.set.designs ??= []);
        let name = design.name;
        for (let n = 2; kept.some((one) => one.name === name); n++) name = `${design.name} ${n}`;
        kept.push({ ...design, name });
    });
}

export function dropDesign(desk: JobDesk, name: string): Promise<void> {
    return desk.edit((document) => {
        document.set.designs = (document.set.designs ?? []).filter((one) => one.name !== name);
    });
}

export function renameDesign(desk: JobDesk, from: string, to: string): Promise<void> {
    return desk.edit((document) => {
        const one = document.set.designs?.find((it) => it.name === from);
        if (one && to.trim() !== '') one.name = to.trim();
    });
}
