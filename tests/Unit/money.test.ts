import { expect, it } from 'vitest';
import { moneyText } from '@/lib/money';
import cases from '../../core/tests/Base/Units/money-cases.json';

// The core writes money by the same cases: core/tests/Base/Units/MoneyTest.php.
it.each(cases as [string, number, string][])('writes %s with %d', (currency, sum, text) =>
    expect(moneyText(sum, currency)).toBe(text),
);

it('has a dash where nobody has said what it costs', () => expect(moneyText(null, '$')).toBe('–'));
