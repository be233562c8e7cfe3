/** An amount of the smallest coin in a kitchen's currency: `3.90 €`. */
export const showMoney = (minor: number, currency: string): string =>
  new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(minor / 100);

/** A calendar day as a baker says it: `12 Oct`, with its year when it is not this one. */
export function showDay(on: string, today: string): string {
  const [year, month, day] = on.split('-').map(Number) as [number, number, number];
  const name = new Date(Date.UTC(year, month - 1, day)).toLocaleDateString('en-GB', { month: 'short', timeZone: 'UTC' });
  return on.slice(0, 4) === today.slice(0, 4) ? `${day} ${name}` : `${day} ${name} ${year}`;
}
