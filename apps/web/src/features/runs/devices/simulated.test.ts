import { simulatedScale, useBench } from './simulated';
import type { ScaleReading } from '@north-leaf/core';

beforeEach(() => {
  jest.useFakeTimers();
  useBench.getState().clear();
  useBench.getState().plug(true);
});
afterEach(() => jest.useRealTimers());

describe('a scale that is not there', () => {
  it('reads what is put on it, steady once it has settled', async () => {
    const heard: ScaleReading[] = [];
    const scale = simulatedScale();
    await scale.open((reading) => heard.push(reading), () => undefined); // prettier-ignore
    useBench.getState().put(50);
    jest.advanceTimersByTime(5000);
    await scale.close();
    expect(heard.length).toBeGreaterThan(20);
    expect(heard.at(-1)).toMatchObject({ steady: true });
    expect(heard.at(-1)!.grams).toBeCloseTo(50, 0);
  });

  it('rises while it is poured on, and stays where pouring stopped', async () => {
    const heard: ScaleReading[] = [];
    const scale = simulatedScale();
    await scale.open((reading) => heard.push(reading), () => undefined); // prettier-ignore
    useBench.getState().pour(10);
    jest.advanceTimersByTime(2000);
    useBench.getState().pour(0);
    jest.advanceTimersByTime(5000);
    const after = heard.at(-1)!.grams;
    jest.advanceTimersByTime(2000);
    await scale.close();
    expect(after).toBeGreaterThan(15);
    expect(heard.at(-1)!.grams).toBeCloseTo(after, 0);
  });

  it('is lost once when its plug is pulled, and starts from zero when it is back', async () => {
    const heard: ScaleReading[] = [];
    let lost = 0;
    const scale = simulatedScale();
    await scale.open((reading) => heard.push(reading), () => (lost += 1)); // prettier-ignore
    useBench.getState().put(80);
    jest.advanceTimersByTime(3000);
    useBench.getState().plug(false);
    jest.advanceTimersByTime(2000);
    expect(lost).toBe(1);
    useBench.getState().plug(true);
    jest.advanceTimersByTime(3000);
    await scale.close();
    expect(Math.abs(heard.at(-1)!.grams)).toBeLessThan(1);
  });
});
