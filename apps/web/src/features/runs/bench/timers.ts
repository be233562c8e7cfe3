import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** A time of the baker's own, on this device: of a mixing act, or of anything else that nobody planned. */
export type OwnTimer = {
  readonly id: string;
  readonly label: string;
  readonly endsAt: number;
  /** The step whose minutes it counts; left out: nobody planned it. */ readonly about?: string;
};

type Timers = {
  readonly timers: readonly OwnTimer[];
  readonly begin: (timer: { readonly label: string; readonly min: number; readonly about?: string }, now: number) => void;
  readonly end: (id: string) => void;
};

/** Longest of one timer: a day and a night, min. */
export const LONGEST_MIN = 1440;
/** More than these are forgotten timers: the oldest go. */
const MOST = 12;

/** Any number of them, kept over a reload. */
export const useTimers = create<Timers>()(
  persist(
    (set) => ({
      timers: [],
      begin: ({ label, min, about }, now) =>
        set(({ timers }) => {
          const timer = { id: crypto.randomUUID(), label: label.trim().slice(0, 60), endsAt: now + min * 60_000 };
          return { timers: [...timers.slice(-(MOST - 1)), about === undefined ? timer : { ...timer, about }] };
        }),
      end: (id) => set(({ timers }) => ({ timers: timers.filter((one) => one.id !== id) })),
    }),
    { name: 'north-leaf-timers' },
  ),
);

/** Soonest first: those that still run, and those whose time is up. */
export function sorted(
  timers: readonly OwnTimer[],
  now: number,
): { readonly running: readonly OwnTimer[]; readonly due: readonly OwnTimer[] } {
  const soonest = [...timers].sort((a, b) => a.endsAt - b.endsAt);
  return { running: soonest.filter(({ endsAt }) => endsAt > now), due: soonest.filter(({ endsAt }) => endsAt <= now) };
}

/** Minutes as typed, `2`, `2.5` or `2:30`; null: none. */
export function typedMin(text: string): number | null {
  const clock = /^(\d{1,4}):([0-5]\d)$/.exec(text.trim());
  const min = clock ? Number(clock[1]) + Number(clock[2]) / 60 : /^\d+([.,]\d+)?$/.test(text.trim()) ? Number(text.replace(',', '.')) : NaN;
  return min > 0 && min <= LONGEST_MIN ? min : null;
}
