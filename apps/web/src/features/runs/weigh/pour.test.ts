import { afterReading, isHeld, keepPour, keptPour, newPour, type Pour } from './pour';

const steady = (grams: number) => ({ grams, steady: true, over: false });
const after = (pour: Pour, ...readings: Parameters<typeof afterReading>[1][]) =>
  readings.reduce<Pour>((now, reading, i) => afterReading(now, reading, i * 1000, { wantedG: 100, toleranceG: 1 }), pour);

describe('a pour', () => {
  it('begins from what the scale showed when it stood still, bowl and all', () => {
    expect(after(newPour('s'), { grams: 400, steady: false, over: false }).zeroG).toBeNull();
    expect(after(newPour('s'), steady(412))).toMatchObject({ zeroG: 412, netG: 0 });
    expect(after(newPour('s'), steady(412), steady(500)).netG).toBe(88);
  });
  it('is held once it has stood in tolerance for two seconds, and never while it moves', () => {
    const there = after(newPour('s'), steady(0), steady(100.4));
    expect(isHeld(there, 1000)).toBe(false);
    expect(isHeld(there, 3000)).toBe(true);
    expect(isHeld(after(there, { grams: 100.4, steady: false, over: false }), 9000)).toBe(false);
    expect(isHeld(after(newPour('s'), steady(0), steady(104)), 9000)).toBe(false);
  });
  it('nothing is not near enough to a pinch', () => {
    const empty = [steady(0), steady(0)].reduce<Pour>(
      (now, reading, i) => afterReading(now, reading, i, { wantedG: 0.1, toleranceG: 0.2 }),
      newPour('s'),
    );
    expect(empty.heldSince).toBeNull();
  });
  it('keeps what is in the bowl when the scale is lost and starts from zero', () => {
    const lost = after(newPour('s'), steady(412), steady(472), null, null);
    expect(lost).toMatchObject({ netG: 60, zeroG: null });
    expect(after(lost, steady(0), steady(40)).netG).toBe(100);
  });
  it('an overloaded scale says nothing of the pour', () => {
    expect(after(newPour('s'), steady(0), steady(60), { grams: 5000, steady: false, over: true }).netG).toBe(60);
  });
  it('is found again by its own step only', () => {
    keepPour('bake', after(newPour('s'), steady(0), steady(60)));
    expect(keptPour('bake', 's')?.netG).toBe(60);
    expect(keptPour('bake', 'other')).toBeNull();
    keepPour('bake', null);
    expect(keptPour('bake', 's')).toBeNull();
  });
});
