import { create } from 'zustand';
import { persist } from 'zustand/middleware';

type Alarm = {
  /** Waits that somebody has answered here: `bakeId/stepKey`. */ readonly answered: readonly string[];
  readonly muted: boolean;
  readonly answer: (keys: readonly string[]) => void;
  readonly setMuted: (muted: boolean) => void;
};

const MOST = 200;

/** Which alarms were touched on this device, and whether it may sound. */
export const useAlarm = create<Alarm>()(
  persist(
    (set) => ({
      answered: [],
      muted: false,
      answer: (keys) => set(({ answered }) => ({ answered: [...answered, ...keys].slice(-MOST) })),
      setMuted: (muted) => set({ muted }),
    }),
    { name: 'north-leaf-alarms' },
  ),
);

let context: AudioContext | undefined;

/** Two short tones. A browser that was never touched stays silent: then the edge and the title say it. */
export function ring(): void {
  try {
    context ??= new AudioContext();
    const begin = context.currentTime;
    for (const [after, hertz] of [
      [0, 880],
      [0.22, 1175],
    ] as const) {
      const tone = context.createOscillator();
      const loud = context.createGain();
      tone.frequency.value = hertz;
      loud.gain.setValueAtTime(0.0001, begin + after);
      loud.gain.exponentialRampToValueAtTime(0.4, begin + after + 0.02);
      loud.gain.exponentialRampToValueAtTime(0.0001, begin + after + 0.18);
      tone.connect(loud).connect(context.destination);
      tone.start(begin + after);
      tone.stop(begin + after + 0.2);
    }
  } catch {
    // No sound here.
  }
}
