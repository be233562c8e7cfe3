import { benchNow, heardServerTime, woke } from './bench-clock';

describe('the clock of the bench', () => {
  it('is the server’s once it was heard, and a second’s rounding is no news', () => {
    const server = Date.now() + 3_600_000;
    heardServerTime(new Date(server).toUTCString());
    expect(Math.abs(benchNow() - server)).toBeLessThan(2000);
    const before = benchNow();
    heardServerTime(new Date(before + 900).toUTCString());
    expect(benchNow() - before).toBeLessThan(500);
    heardServerTime('not a date');
    heardServerTime(null);
    expect(benchNow() - before).toBeLessThan(500);
  });

  it('a device’s clock that is set on moves nothing; one that slept is believed until the server is heard', () => {
    heardServerTime(new Date().toUTCString());
    const before = benchNow();
    const real = Date.now.bind(Date);
    jest.spyOn(Date, 'now').mockImplementation(() => real() + 3 * 3_600_000);
    expect(benchNow() - before).toBeLessThan(1000);
    woke();
    expect(benchNow() - before).toBeGreaterThan(3 * 3_600_000 - 5000);
    jest.restoreAllMocks();
    heardServerTime(new Date().toUTCString());
    expect(Math.abs(benchNow() - Date.now())).toBeLessThan(2000);
  });
});
