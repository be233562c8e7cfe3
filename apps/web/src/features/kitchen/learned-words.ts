import { families, isOutdated, type Kitchen, type Learned } from '@north-leaf/core';
import { DateTime } from 'luxon';
import { type Voice } from '@north-leaf/words';
import { t } from '../../platform/words';

const names: Readonly<Record<Learned['what'], string>> = {
  thirstFactor: t('kitchen.thirstOf'),
  ovenHeatFactor: t('kitchen.heatOf'),
  oven: '',
  crisp: t('kitchen.crispnessOf'),
  tender: t('kitchen.tendernessOf'),
  lift: t('kitchen.liftOf'),
  spread: t('kitchen.spreadOf'),
  pack: t('kitchen.leakOfThe'),
  layerFloor: t('kitchen.thinnestDoughLayerThatLasts'),
};
const packNames: Readonly<Record<string, string>> = {
  paperBag: t('common.paperBag'),
  looseTin: t('common.looseTin'),
  tightTin: t('common.tightTin'),
  sealedPouch: t('common.sealedPouch'),
};
const packName = (about: string): string => {
  const [pack = '', family = ''] = about.split(' ');
  return t('kitchen.packnamesRoundFamily', { packNames: packNames[pack] ?? pack, family: familyName(family) });
};
const times: Readonly<Partial<Record<Learned['what'], string>>> = {
  thirstFactor: t('kitchen.waterItWants'),
  ovenHeatFactor: t('kitchen.givesHeat'),
  lift: t('kitchen.itRises'),
  spread: t('kitchen.itSpreads'),
  pack: t('kitchen.itLetsVapourIn'),
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
        of: t('kitchen.airAgainstTheDialsTable'),
        before: `0 ± ${voice.exact(priorSd ?? 0, 'difference')}`,
        now: `${value < 0 ? '−' : '+'}${voice.bare(Math.abs(value), 'difference', 1)} ± ${voice.show(sd, 'difference', 1)}`,
      },
      { of: t('kitchen.givesHeat'), before: t('kitchen.asItsKind'), now: factor(joint.mean[1]!, Math.sqrt(joint.covariance[1]![1]!)) },
      { of: t('kitchen.browns'), before: t('kitchen.asItsKind'), now: factor(joint.mean[2]!, Math.sqrt(joint.covariance[2]![2]!)) },
    ];
  const of = times[what];
  if (of !== undefined)
    return [
      { of, before: `× ${(priorValue ?? 1).toFixed(2)} ± ${(priorSd ?? 0).toFixed(2)}`, now: `× ${value.toFixed(2)} ± ${sd.toFixed(2)}` },
    ];
  if (what === 'layerFloor')
    return [
      {
        of: t('common.layer'),
        before: voice.spread(priorValue ?? 0, priorSd ?? 0, 'thin'),
        now: voice.spread(value, sd, 'thin'),
      },
    ];
  return [
    { of: t('kitchen.movesTheForecastOf10By'), before: `0 ± ${(priorSd ?? 0).toFixed(1)}`, now: `${signed(value)} ± ${sd.toFixed(1)}` },
  ];
}

/** From how many bakes, and when they were; whether it still counts. */
export function learnedFrom(learned: Learned, { zone }: Kitchen): string {
  const { what, bakeIds, firstAt, lastAt, from } = learned;
  if (isOutdated(learned))
    return what === 'ovenHeatFactor' ? t('kitchen.weighedUnderTheOvenModelBeforeThis') : t('kitchen.learnedUnderTheOvenModelBeforeThis');
  if (bakeIds.length === 0) return from ?? t('kitchen.begunAnewNoBakeSinceThen');
  const day = (at: string) => DateTime.fromISO(at, { zone }).toFormat('d LLL yyyy');
  const many = t('kitchen.fromBakes', { count: bakeIds.length });
  if (firstAt === undefined || lastAt === undefined) return `${many}.`;
  return day(firstAt) === day(lastAt)
    ? `${many}, ${day(lastAt)}.`
    : t('kitchen.manyFirstatToLastat', { many, firstAt: day(firstAt), lastAt: day(lastAt) });
}

const signed = (value: number) => `${value >= 0.05 ? '+' : value <= -0.05 ? '−' : ''}${Math.abs(value).toFixed(1)}`;
