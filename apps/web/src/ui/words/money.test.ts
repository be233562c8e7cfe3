import { showDay, showMoney } from './money';

describe('money and days', () => {
  it('are shown in the kitchen’s currency, of its smallest coin', () => {
    expect(showMoney(390, 'EUR')).toBe('€3.90');
    expect(showMoney(0.4, 'USD')).toBe('US$0.00');
  });

  it('name a day, with its year where it is another', () => {
    expect(showDay('2026-10-12', '2026-11-30')).toBe('12 Oct');
    expect(showDay('2027-01-02', '2026-11-30')).toBe('2 Jan 2027');
    // The day is the same wherever the browser stands.
    expect(showDay('2026-03-01', '2026-02-28')).toBe('1 Mar');
  });
});
