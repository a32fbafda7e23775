import { expect, it } from 'vitest';
import { matching } from '@/kit/search-field';
import type { TubeChoice } from '@/lib/answers';
import { tubeGroups } from '@/screens/survey/tube-groups';

const tubes: TubeChoice[] = [
    { id: 'T1.750x.065', name: '1 3/4 in × .065', onShelf: 0, radii: [], usualFor: ['header'] },
    { id: 'T3.000x.065', name: '3 in × .065', onShelf: 4, radii: [], usualFor: [] },
    { id: 'T2.000x.065', name: '2 in × .065', onShelf: 2, radii: [], usualFor: ['header'] },
    { id: 'P1.5-10S', name: 'NPS 1 1/2 schedule 10S', onShelf: 0, radii: [], usualFor: [] },
];

it('offers first what is on the shelf, the usual of it before the rest, then what is usual', () => {
    const groups = tubeGroups(tubes, 'header');
    expect(groups.map((group) => group.name)).toEqual(['On the shelf', 'Usual for this', 'All other sizes']);
    expect(groups.map((group) => group.choices.map((one) => one.id))).toEqual([
        ['T2.000x.065', 'T3.000x.065'],
        ['T1.750x.065'],
        ['P1.5-10S'],
    ]);
    expect(groups[0]?.choices[0]?.note).toBe('2 on the shelf');
});

it('offers every size once, whatever the job is for', () => {
    const ids = tubeGroups(tubes, 'repair').flatMap((group) => group.choices.map((one) => one.id));
    expect(ids.sort()).toEqual(tubes.map((one) => one.id).sort());
});

it('finds by every word, in any order, in the name or the mark', () => {
    const groups = tubeGroups(tubes, 'header');
    const found = (typed: string) =>
        matching(groups, typed).flatMap((group) => group.choices.map((one) => one.id));
    expect(found('10s nps')).toEqual(['P1.5-10S']);
    expect(found('.065 3.000')).toEqual(['T3.000x.065']);
    expect(found('nothing like it')).toEqual([]);
    expect(found('')).toHaveLength(4);
});
