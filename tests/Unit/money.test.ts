import { expect, it } from 'vitest';
import { moneyText } from '@/lib/money';

it.each([
    ['$', 2338.4, '$2\u202F338.40'],
    ['CHF', 65.5, '65.50\u00A0CHF'],
    ['kr', -12, '-12.00\u00A0kr'],
    ['$', -0.004, '$0.00'],
    ['', 1234567.891, '1\u202F234\u202F567.89'],
])('writes %s with %d', (currency, sum, text) => expect(moneyText(sum, currency)).toBe(text));

it('has a dash where nobody has said what it costs', () => expect(moneyText(null, '$')).toBe('–'));
