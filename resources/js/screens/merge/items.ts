// What the Merge screen has to show of a job, one thing after another.
import type { BranchPlan, CollectorPlan, FlangePlate, MergePlan, SlantPlan } from '@/lib/answers';

type Shown<Kind extends string, One> = {
    key: string;
    kind: Kind;
    one: One;
    /** Where it stands in the document, as notices name it. */
    path: string;
    mark: string;
    text: string;
    isBroken: boolean;
};
export type Item =
    | Shown<'collector', CollectorPlan>
    | Shown<'branch', BranchPlan>
    | Shown<'slant', SlantPlan>
    | Shown<'flange', FlangePlate>;

export function itemsOf(merge: MergePlan): Item[] {
    const side = (isStart: boolean) => (isStart ? 'start' : 'end');
    return [
        ...merge.collectors.map((one): Item => ({
            key: one.letter,
            kind: 'collector',
            one,
            path: one.path,
            mark: one.letter,
            text: one.name,
            isBroken: one.lack !== '',
        })),
        ...merge.branches.map((one): Item => ({
            key: `${one.letter} ${side(one.isStart)}`,
            kind: 'branch',
            one,
            path: one.path,
            mark: one.letter,
            text: `${one.isStart ? 'out of' : 'into'} ${one.on}`,
            isBroken: one.cut.length === 0,
        })),
        ...merge.slants.map((one): Item => ({
            key: `${one.letter} ${side(one.isStart)} slant`,
            kind: 'slant',
            one,
            path: one.path,
            mark: one.letter,
            text: 'cut at an angle',
            isBroken: false,
        })),
        ...merge.flanges.map((one): Item => ({
            key: one.id,
            kind: 'flange',
            one,
            path: one.path,
            mark: '▭',
            text: one.name,
            isBroken: false,
        })),
    ];
}
