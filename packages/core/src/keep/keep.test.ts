import { aFormula, kitchen, resultOf, worked } from '../worked/a-formula.js';
import { findingsOf } from '../evaluate.js';
import { crispnessAt, mouldFreeDays } from './keep.js';
import { outlookFromRating } from '../outlook/rating.js';
import type { Json } from '../document/edits.js';

const keep = (set: Record<string, Json> = {}, humidityShare = kitchen.humidityShare) =>
  resultOf(worked(aFormula(set), { ...kitchen, humidityShare }), 'keep');

describe('keep stage', () => {
  it('tighter packs keep longer, damper air shorter', () => {
    const days = (pack: string) => keep({ '/keep/pack': pack }).crispDays.value;
    expect(days('sealedPouch')).toBeGreaterThan(days('tightTin'));
    expect(days('tightTin')).toBeGreaterThan(days('looseTin'));
    expect(days('looseTin')).toBeGreaterThan(days('openTray'));
    expect(keep({}, 0.75).crispDays.value).toBeLessThan(keep().crispDays.value);
  });

  it('never softens in air drier than its limit', () => {
    expect(keep({}, 0.4)).toMatchObject({ openEnded: true, openTrayHours: null, crispDays: { value: 90 } });
    // Sold later than is looked at: nothing is said of its snap, for nothing is known.
    const sold = worked(aFormula({ '/keep/sellWithinDays': 200 }), { ...kitchen, humidityShare: 0.4 });
    expect(findingsOf(sold).map(({ code }) => code)).not.toContain('keep.softBeforeSold');
  });

  it('half crisp at a water activity of 0.45 (Katz & Labuza 1981 give 0.35 to 0.50, from memory)', () => {
    expect(crispnessAt(0.45)).toBeCloseTo(0.5, 9);
    expect(crispnessAt(0.3)).toBeGreaterThan(0.9);
    expect(crispnessAt(0.6)).toBeLessThan(0.1);
  });

  it('cools to the room and says how warm it was packed', () => {
    expect(keep({ '/keep/cool/0/min': 1 }).packedAtC).toBeGreaterThan(60);
    expect(keep().packedAtC).toBeCloseTo(23.5, 0);
  });

  it('goes on baking on its tray: the middle of a thick piece is hotter after the oven than in it (common practice, no source)', () => {
    const thick = {
      '/sheet/parts/0/thicknessMm': 20,
      '/bake/trayId': 'bright-tray',
      '/bake/steps': [{ name: 'Bake', wantC: 200, min: 12 }],
      '/keep/cool': [{ placeId: 'hot-tray', min: 10 }],
    };
    const evaluation = worked(aFormula(thick));
    const out = resultOf(evaluation, 'bake').end.middleC;
    expect(resultOf(evaluation, 'keep').cooling.peakMiddleC).toBeGreaterThan(out);
  });

  it('cools sooner on a rack than on its tray, and sooner still in the fridge', () => {
    const packable = (placeId: string) => keep({ '/keep/cool': [{ placeId, min: 5 }] }).cooling.packableMin!;
    expect(packable('rack')).toBeLessThan(packable('hot-tray'));
    expect(packable('fridge')).toBeLessThan(packable('rack'));
  });

  it('mould-free days follow the published line at 21 C and are fewer in a warm room (Cauvain & Seiler 1992, from memory)', () => {
    expect(mouldFreeDays(0.85, 21)).toBeCloseTo(10 ** (7.91 - 0.081 * 85), 6);
    expect(mouldFreeDays(0.85, 27)).toBeCloseTo(10 ** (6.42 - 0.0647 * 85), 6);
    expect(mouldFreeDays(0.9, 24)!).toBeLessThan(mouldFreeDays(0.9, 21)!);
    expect(mouldFreeDays(0.6, 21)).toBeNull();
  });

  it('brings a soft cracker back in minutes, not in hours (common practice: a few minutes in a low oven, no source)', () => {
    const { wantC, min } = keep().bringBack!;
    expect(wantC).toBeLessThan(160);
    expect(min).toBeGreaterThan(1);
    expect(min).toBeLessThan(20);
  });

  it('freezes and thaws a thin piece within the hour', () => {
    const { frozenMin, thawedMin } = keep().freezing!;
    expect(frozenMin).toBeGreaterThan(0);
    expect(thawedMin!).toBeLessThan(60);
  });
});

describe('outlook', () => {
  it('dots stand on its scale: one is 0, five is 10', () => {
    expect([1, 3, 5].map((dots) => outlookFromRating('crisp', dots))).toEqual([0, 5, 10]);
  });

  it('more fat is more tender, thicker is firmer and less crisp (directions published, sizes judgement)', () => {
    const outlook = (set: Record<string, Json>) => worked(aFormula(set)).outlook!;
    const base = outlook({});
    expect(outlook({ '/rows/1/amountG': 55 }).tender.value).toBeGreaterThan(base.tender.value);
    const thick = outlook({ '/sheet/parts/0/thicknessMm': 3.4, '/bake/steps/1/min': 12 });
    expect(thick.tender.value).toBeLessThan(base.tender.value);
    expect(thick.crisp.value).toBeLessThan(base.crisp.value);
  });

  it('its terms sum to the distance from the middle of the zone', () => {
    const { crisp, tender, terms, zone } = worked(aFormula()).outlook!;
    expect(zone.crisp + terms.reduce((sum, term) => sum + term.crisp, 0)).toBeCloseTo(crisp.value, 1);
    expect(zone.tender + terms.reduce((sum, term) => sum + term.tender, 0)).toBeCloseTo(tender.value, 1);
  });
});
