import type { ChoiceGroup } from '@/kit/search-field';
import type { Purpose, TubeChoice } from '@/lib/answers';

/** Sizes as they are offered: what lies on the shelf, what is usual for the job, and then everything there is. */
export function tubeGroups(tubes: TubeChoice[], purpose: Purpose): ChoiceGroup[] {
    const group = (name: string, some: TubeChoice[]): ChoiceGroup => ({
        name,
        choices: some.map((one) => ({
            id: one.id,
            name: one.name,
            note: one.onShelf > 0 ? `${one.onShelf} on the shelf` : '',
        })),
    });
    const isUsual = (one: TubeChoice) => one.usualFor.includes(purpose);
    const usualFirst = (a: TubeChoice, b: TubeChoice) => Number(isUsual(b)) - Number(isUsual(a));
    return [
        group('On the shelf', tubes.filter((one) => one.onShelf > 0).sort(usualFirst)),
        group(
            'Usual for this',
            tubes.filter((one) => one.onShelf === 0 && isUsual(one)),
        ),
        group(
            'All other sizes',
            tubes.filter((one) => one.onShelf === 0 && !isUsual(one)),
        ),
    ].filter((one) => one.choices.length > 0);
}
