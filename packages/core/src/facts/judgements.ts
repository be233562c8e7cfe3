import { browning, covers, doorDip, edgeShare, ovenVapourPressure, recessedConvection, trayFin } from './oven.js';
import { layerFloors } from './laminating.js';
import { mouldFree, packPermeance } from './keeping.js';

/** A number that is our judgement and that a kitchen may set to its own: what is said of it, its unit, and how far it may go. */
export type Judgement = {
  readonly what: string;
  readonly unit: string;
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly digits: number;
  readonly source: string;
};

const of = (what: string, unit: string, value: number, low: number, high: number, digits: number, source: string): Judgement => ({
  what,
  unit,
  value,
  low,
  high,
  digits,
  source,
});

/** Judgements of layers, oven and pack that a kitchen may replace; every other fact stands where its source says. */
export const judgements = {
  doughLayerWatch: of('Dough layer that is worth a look, thinner than', 'µm', layerFloors.values.watchUm, 5, 400, 0, layerFloors.source),
  doughLayerFix: of('Dough layer that tears, thinner than', 'µm', layerFloors.values.fixUm, 2, 300, 0, layerFloors.source),
  browningRate: of('How fast crusts brown, times ours', '×', 1, 0.3, 3, 2, browning.source),
  edgeShare: of('Heat and vapour through the side of a piece', 'share', edgeShare.value, 0, 1, 2, edgeShare.source),
  bareTray: of('Heat that bare tray brings to a piece', 'share', trayFin.values.share, 0, 1, 2, trayFin.source),
  panAir: of('Air that reaches into a pan', 'share', recessedConvection.value, 0.3, 1, 2, recessedConvection.source),
  ovenSteam: of('Water vapour in the oven', 'kPa', ovenVapourPressure.value / 1000, 0.5, 60, 1, ovenVapourPressure.source),
  weights: of('Contact of weights on paper', 'W/m² K', covers.values.weights.contact, 5, 200, 0, covers.source),
  lookDrop: of('Drop of the air at a look', 'K', doorDip.values.lookDropC, 0, 60, 0, doorDip.source),
  paperBag: of('Vapour into a paper bag', '10⁻¹² kg/s Pa', packPermeance.values.paperBag * 1e12, 10, 5000, 0, packPermeance.source),
  looseTin: of('Vapour into a loose tin', '10⁻¹² kg/s Pa', packPermeance.values.looseTin * 1e12, 1, 2000, 0, packPermeance.source),
  tightTin: of('Vapour into a tight tin', '10⁻¹² kg/s Pa', packPermeance.values.tightTin * 1e12, 0.1, 500, 1, packPermeance.source),
  sealedPouch: of(
    'Vapour into a sealed pouch',
    '10⁻¹² kg/s Pa',
    packPermeance.values.sealedPouch * 1e12,
    0.01,
    100,
    2,
    packPermeance.source,
  ),
  mouldMargin: of('Share of the mould-free days that is offered', 'share', mouldFree.values.margin, 0.1, 1, 2, mouldFree.source),
} as const satisfies Readonly<Record<string, Judgement>>;
export type JudgementName = keyof typeof judgements;

/**
 * A judgement as this kitchen holds it.
 *
 * Units    those of the judgement.
 * Throws   nothing: what a kitchen holds was checked when it was stored.
 * Findings none.
 * Source   the kitchen's own number, else ours.
 */
export const judged = (held: Readonly<Partial<Record<JudgementName, number>>> | undefined, name: JudgementName): number =>
  held?.[name] ?? judgements[name].value;
