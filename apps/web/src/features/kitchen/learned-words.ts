import { families, isOutdated, type Kitchen, type Learned } from '@north-leaf/core';
import { DateTime } from 'luxon';
import { type Voice } from '@north-leaf/words';

const names: Readonly<Record<Learned['what'], string>> = {
  thirstFactor: 'Thirst of',
  ovenHeatFactor: 'Heat of',
  oven: '',
  crisp: 'Crispness of',
  tender: 'Tenderness of',
  lift: 'Lift of',
  spread: 'Spread of',
  pack: 'Leak of the',
  layerFloor: 'Thinnest dough layer that lasts,',
};
const packNames: Readonly<Record<string, string>> = {
  paperBag: 'paper bag',
  looseTin: 'loose tin',
  tightTin: 'tight tin',
  sealedPouch: 'sealed pouch',
};
const packName = (about: string): string => {
  const [pack = '', family = ''] = about.split(' ');
  return `${packNames[pack] ?? pack} round ${familyName(family)}`;
};
const times: Readonly<Partial<Record<Learned['what'], string>>> = {
  thirstFactor: 'Water it wants',
  ovenHeatFactor: 'Gives heat',
  lift: 'It rises',
  spread: 'It spreads',
  pack: 'It lets vapour in',
};
const familyName = (id: string) => families[id]?.name ?? id;

/** What it is learned of. */
export function learnedName({ what, about }: Learned, { ovens }: Kitchen): string {
  const ofOven = ovens.find(({ id }) => id === about)?.name;
  // An oven is named as it is: what it does is said line by line.
  return `${names[what]} ${ofOven ?? (what === 'thirstFactor' ? about : what === 'pack' ? packName(about) : familyName(about)).toLowerCase()}`.trim();
}

export type LearnedRow = { readonly of: string; readonly before: string; readonly now: string };

/** What was believed before and what is believed now, a line for each number. */
export function learnedRows({ what, priorValue, priorSd, value, sd, joint }: Learned, voice: Voice): readonly LearnedRow[] {
  const factor = (log: number, spread: number) => `× ${Math.exp(log).toFixed(2)} ± ${(Math.exp(log) * spread).toFixed(2)}`;
  if (joint)
    return [
      {
        of: 'Air against the dial’s table',
        before: `0 ± ${voice.exact(priorSd ?? 0, 'difference')}`,
        now: `${value < 0 ? '−' : '+'}${voice.bare(Math.abs(value), 'difference', 1)} ± ${voice.show(sd, 'difference', 1)}`,
      },
      { of: 'Gives heat', before: 'as its kind', now: factor(joint.mean[1]!, Math.sqrt(joint.covariance[1]![1]!)) },
      { of: 'Browns', before: 'as its kind', now: factor(joint.mean[2]!, Math.sqrt(joint.covariance[2]![2]!)) },
    ];
  const of = times[what];
  if (of !== undefined)
    return [
      { of, before: `× ${(priorValue ?? 1).toFixed(2)} ± ${(priorSd ?? 0).toFixed(2)}`, now: `× ${value.toFixed(2)} ± ${sd.toFixed(2)}` },
    ];
  if (what === 'layerFloor')
    return [
      {
        of: 'Layer',
        before: voice.spread(priorValue ?? 0, priorSd ?? 0, 'thin'),
        now: voice.spread(value, sd, 'thin'),
      },
    ];
  return [{ of: 'Moves the forecast, of 10, by', before: `0 ± ${(priorSd ?? 0).toFixed(1)}`, now: `${signed(value)} ± ${sd.toFixed(1)}` }];
}

/** From how many bakes, and when they were; whether it still counts. */
export function learnedFrom(learned: Learned, { zone }: Kitchen): string {
  const { what, bakeIds, firstAt, lastAt, from } = learned;
  if (isOutdated(learned))
    return what === 'ovenHeatFactor'
      ? 'Weighed under the oven model before this one: not used. Weigh a tray again.'
      : 'Learned under the oven model before this one: not used. It is worked out anew from your bakes.';
  if (bakeIds.length === 0) return from ?? 'Begun anew: no bake since then.';
  const day = (at: string) => DateTime.fromISO(at, { zone }).toFormat('d LLL yyyy');
  const many = `From ${bakeIds.length} ${bakeIds.length === 1 ? 'bake' : 'bakes'}`;
  if (firstAt === undefined || lastAt === undefined) return `${many}.`;
  return day(firstAt) === day(lastAt) ? `${many}, ${day(lastAt)}.` : `${many}, ${day(firstAt)} to ${day(lastAt)}.`;
}

const signed = (value: number) => `${value >= 0.05 ? '+' : value <= -0.05 ? '−' : ''}${Math.abs(value).toFixed(1)}`;
