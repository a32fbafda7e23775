// How sums of money are written: with the shop's currency, signs before the number and letters behind it.
import { page } from '@inertiajs/svelte';

const SIGN = /^\p{Sc}$/u;

export function moneyText(sum: number | null, currency: string): string {
    if (sum === null) return '–';
    const [whole = '', rest = ''] = Math.abs(sum).toFixed(2).split('.');
    const number = `${whole.replace(/\B(?=(\d{3})+$)/g, '\u202F')}.${rest}`;
    const text =
        currency === '' ? number : SIGN.test(currency) ? currency + number : `${number}\u00A0${currency}`;
    return Number(sum.toFixed(2)) < 0 ? `-${text}` : text;
}

/** In the shop's currency. */
export function money(sum: number | null): string {
    return moneyText(sum, String(page.props['currency'] ?? ''));
}
