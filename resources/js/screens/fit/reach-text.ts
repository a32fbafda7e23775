// What a torch and a look get to of a joint, in a sentence.
import type { JointAccess } from '@/lib/answers';

/** At an opening: nearer than this (mm) it is simply looked at. */
const AT_HAND_MM = 8;

export function reachText({ together, by, root, sideFirst, inTwo }: JointAccess): string {
    const later =
        by.length > 0
            ? `With ${by.join(', ')} beside it a torch gets round ${together.share.text}${sideFirst.length > 0 ? `; with its side welded as the runs go in, ${inTwo.text}` : ''}.`
            : 'It stays open when the others stand beside it.';
    const seen =
        root.from === ''
            ? 'Its root is not seen from either end: borescope.'
            : root.distance.value < AT_HAND_MM
              ? 'Its root lies open.'
              : `Its root is seen from the ${root.from === 'start' ? 'upstream' : 'downstream'} end, ${root.distance.text} away${root.share.text === '100 %' ? '' : `, ${root.share.text} of it`}.`;
    return `${later} ${seen}`;
}
