import type { Component } from 'svelte';
import type { JobDesk } from '@/lib/job-desk.svelte';
import type { Catalogue, Stage } from '@/lib/answers';

export type StageProps = {
    desk: JobDesk;
    catalogue: Catalogue;
    mayPlan: boolean;
    mayLog: boolean;
    /** Whether somebody who plans looks on, also where nothing can be changed any more. */
    isPlanner: boolean;
    onstage: (stage: Stage) => void;
};

/** Each stage comes when it is opened, so that 3D is fetched only where it is used. */
export const STAGE_SCREENS: Record<Stage, () => Promise<{ default: Component<StageProps> }>> = {
    intake: () => import('../intake/intake.svelte'),
    survey: () => import('../survey/survey.svelte'),
    route: () => import('../route/route.svelte'),
    merge: () => import('../merge/merge.svelte'),
    cut: () => import('../cut/cut.svelte'),
    fit: () => import('../fit/fit.svelte'),
    weld: () => import('../weld/weld.svelte'),
    bench: () => import('../bench/bench.svelte'),
    handover: () => import('../handover/handover.svelte'),
    release: () => import('../release/release.svelte'),
};
