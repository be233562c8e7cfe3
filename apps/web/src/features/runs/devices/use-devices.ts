import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { restAfter, restReading, type ScaleReading, type ScaleRest } from '@north-leaf/core';
import { bluetoothProbe, bluetoothScale, serialScale } from './real';
import { simulatedScale } from './simulated';
import type { Probe, Scale } from './scale';
import { t } from '../../../platform/words';

export type ScaleKind = 'simulated' | 'serial' | 'bluetooth';
type Linked = 'none' | 'opening' | 'on' | 'lost';

type Devices = {
  /** The one last chosen here: a stand-in is opened again by itself, others need the baker's hand. */ readonly wanted: ScaleKind | null;
  readonly scale: Linked;
  readonly scaleName: string;
  readonly reading: ScaleReading | null;
  readonly probe: Linked;
  readonly probeC: number | null;
  readonly problem: string | null;
};

export const useDevices = create<Devices>()(
  persist((): Devices => ({ wanted: null, scale: 'none', scaleName: '', reading: null, probe: 'none', probeC: null, problem: null }), {
    name: 'north-leaf-devices',
    partialize: ({ wanted }) => ({ wanted }),
  }),
);

const makers: Readonly<Record<ScaleKind, () => Scale>> = { simulated: simulatedScale, serial: serialScale, bluetooth: bluetoothScale };
let scale: Scale | null = null;
let probe: Probe | null = null;

export async function openScale(kind: ScaleKind): Promise<void> {
  await closeScale();
  const made = makers[kind]();
  scale = made;
  useDevices.setState({ wanted: kind, scale: 'opening', scaleName: made.name, problem: null });
  let rest: ScaleRest = [];
  try {
    await made.open(
      (reading) => {
        rest = restAfter(rest, reading, performance.now());
        useDevices.setState({ scale: 'on', reading: restReading(rest, reading) });
      },
      () => {
        rest = [];
        useDevices.setState({ scale: 'lost', reading: null });
      },
    );
  } catch (error) {
    useDevices.setState({ scale: 'none', problem: t('runs.noScaleMessageTypeTheWeightsInstead', { message: (error as Error).message }) });
  }
}

export async function closeScale(): Promise<void> {
  const open = scale;
  scale = null;
  useDevices.setState({ scale: 'none', reading: null });
  await open?.close().catch(() => undefined);
}

/** Stops reading; the same one is wanted next time. */
export async function setScaleAside(): Promise<void> {
  await closeScale();
  useDevices.setState({ wanted: null });
}

export async function openProbe(made: Probe = bluetoothProbe()): Promise<void> {
  await closeProbe();
  probe = made;
  useDevices.setState({ probe: 'opening', probeC: null, problem: null });
  try {
    await made.open(
      (probeC) => useDevices.setState({ probe: 'on', probeC }),
      () => useDevices.setState({ probe: 'lost', probeC: null }),
    );
  } catch (error) {
    useDevices.setState({ probe: 'none', problem: t('runs.noThermometerMessageTypeWhatItSays', { message: (error as Error).message }) });
  }
}

export async function closeProbe(): Promise<void> {
  const open = probe;
  probe = null;
  useDevices.setState({ probe: 'none', probeC: null });
  await open?.close().catch(() => undefined);
}
