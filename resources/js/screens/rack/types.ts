import type { NextAction } from '@/lib/plan';

export type RackJob = {
    id: number;
    number: string;
    title: string;
    vehicle: string;
    customer: string;
    metal: string;
    purpose: string;
    revision: number;
    status: 'draft' | 'released';
    joints: number;
    jointsDone: number;
    stepsDone: number;
    steps: number;
    next: NextAction;
};

export type Bottle = { name: string; use: string; share: number; gauge: string; usable: string };
