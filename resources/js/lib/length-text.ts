// A place picked or dragged in the picture, written as a person would: in their units, with the unit.
import type { Units } from './answers';

export function lengthText(mm: number, units: Units, inchDigits = 3): string {
    return units === 'inch' ? `${(mm / 25.4).toFixed(inchDigits)} in` : `${mm.toFixed(1)} mm`;
}
