// Cuts that take fewer joints or cost less: looked for by the core, taken over only when a person says so.
import type { LessStock } from './answers';
import { said } from './http';
import { sendInTurn } from './in-turn';
import type { JobDesk } from './job-desk.svelte';

export async function lookForLess(desk: JobDesk): Promise<LessStock | string> {
    const reply = await sendInTurn('POST', `/jobs/${desk.view.id}/cuts/least`, 'LessStock', {
        document: desk.document,
    });
    return reply.ok ? reply.data : reply.message;
}

export type JointWish = 'without-before' | 'without-after' | 'split' | 'from-donut';

/** What the job is with a joint more or less at one piece, and what that costs; else why it cannot be. */
export async function wishJoint(
    desk: JobDesk,
    mark: string,
    wish: JointWish,
    at = '',
): Promise<LessStock | string> {
    const reply = await sendInTurn('POST', `/jobs/${desk.view.id}/cuts/joint`, 'LessStock', {
        document: desk.document,
        mark,
        wish,
        at,
    });
    return reply.ok ? reply.data : said(reply);
}

/** Whether any run is cut where somebody chose it, instead of where it is worked out. */
export const hasChosenCuts = (desk: JobDesk): boolean =>
    desk.document.runs.some((run) => (run.route?.cuts ?? null) !== null);

/** Lets every run be cut where it is worked out again. */
export function workOutCuts(desk: JobDesk): Promise<void> {
    return desk.edit((document) => {
        for (const run of document.runs) if (run.route) delete run.route.cuts;
    });
}
