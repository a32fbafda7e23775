// @vitest-environment happy-dom
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { onKeys } from '@/lib/keys';
import { lengthText } from '@/lib/length-text';
import { newest } from '@/lib/newest';
import { nameOf, runAt, stageOf } from '@/lib/places';
import { someDocument } from './some-view';

describe('keys', () => {
    const press = (key: string, init: KeyboardEventInit = {}, target: HTMLElement = document.body) =>
        target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...init }));
    const j = vi.fn();
    const undo = vi.fn();
    document.body.addEventListener('keydown', onKeys({ j, 'mod+z': undo }));

    beforeEach(() => {
        j.mockClear();
        undo.mockClear();
        document.body.innerHTML = '';
    });

    it('works anywhere', () => {
        press('j');
        press('x');
        expect(j).toHaveBeenCalledTimes(1);
    });

    it('takes Ctrl and Command for one', () => {
        press('z', { ctrlKey: true });
        press('Z', { metaKey: true });
        press('z');
        expect(undo).toHaveBeenCalledTimes(2);
    });

    it('leaves typing and dialogs alone', () => {
        const input = document.body.appendChild(document.createElement('input'));
        press('j', {}, input);
        const dialog = document.body.appendChild(document.createElement('div'));
        dialog.setAttribute('role', 'dialog');
        press('j');
        expect(j).not.toHaveBeenCalled();
    });
});

describe('places of a document', () => {
    const document = someDocument({
        overrides: [
            { figure: 'cut.A1.trim', value: '', why: '' },
            { figure: 'weld.AJ1.amps', value: '', why: '' },
        ],
        set: {
            collectors: [{ name: 'Collector 1', runs: ['A', 'Q'], assignment: 'any', firing: [] }],
            keepOuts: [],
            lengths: [],
        },
    });

    it('lead to the stage that edits them', () => {
        expect(
            [
                'runs[0].start.at[0]',
                'runs[1].route.bends[0].angle',
                'set.keepOuts[2].radius',
                'set.routing.gap',
                'job.title',
                'overrides[0].value',
                'overrides[1].value',
            ].map((path) => stageOf(path, document)),
        ).toEqual(['survey', 'route', 'survey', 'route', 'survey', 'cut', 'weld']);
    });

    it('have names that a person would use', () => {
        expect(nameOf('runs[1].route.bends[0].angle', document)).toBe('run B, bend 1, angle');
        expect(nameOf('runs[0].route.endStraight', document)).toBe('run A, last straight');
        expect(nameOf('job.number', document)).toBe('the job, number');
        expect(nameOf('runs[0].start.at[1]', document)).toBe('run A, start, place, right');
        expect(nameOf('measured.readings[2].value', document)).toBe('reading 3, value');
        expect(nameOf('set.collectors[0].runs[1]', document)).toBe('collector “Collector 1”, its runs');
        expect(nameOf('set.parts[0].mass', document)).toBe('part 1, weight');
        expect(nameOf('overrides[0].value', document)).toBe('your value for cut.A1.trim');
        expect(runAt('runs[3].tube')).toBe(3);
        expect(runAt('set')).toBeNull();
    });
});

it('sends one wish at a time, and of those that came meanwhile only the newest', async () => {
    const out: number[] = [];
    let free = (): void => {};
    const send = newest<number>(async (wish) => {
        out.push(wish);
        await new Promise<void>((resolve) => (free = resolve));
    });
    const all = [send(1), send(2), send(3)];
    free();
    await vi.waitFor(() => expect(out).toEqual([1, 3]));
    free();
    await Promise.all(all);
    expect(out).toEqual([1, 3]);
});

it('writes a dragged place as a person would, with its unit', () => {
    expect(lengthText(25.4, 'inch')).toBe('1.000 in');
    expect(lengthText(25.44, 'metric')).toBe('25.4 mm');
});
