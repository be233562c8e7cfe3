import { fact, table } from './fact.js';

export const handsMin = table(
  {
    weigh: 0.7,
    mix: 2,
    feel: 1,
    measure: 0.5,
    shape: 2,
    move: 0.5,
    roll: 6,
    cut: 3,
    portion: 2,
    drop: 1,
    pipe: 3,
    pour: 1,
    pressIn: 2,
    pat: 3,
    spreadThin: 2,
    line: 2.5,
    prick: 0.5,
    weightsIn: 1,
    fill: 1,
    close: 1,
    rollUp: 1,
    foldOver: 3,
    lid: 1,
    crimp: 3,
    lattice: 4,
    flattenFat: 5,
    brush: 1,
    strew: 0.5,
    sandwich: 1,
    cutBaked: 3,
    weighLoad: 1,
    putIn: 0.5,
    dial: 0.3,
    look: 0.2,
    out: 1,
    pack: 4,
    rate: 1,
  },
  'min of hands',
  'judgement',
  'one pair of hands at a home or small-bakery bench, one lot; a kitchen’s own runs show its own times',
);
/** Hands' minutes that each piece adds to what is done to all of them. */
export const handsPieceMin = table(
  { cut: 0.04, portion: 0.3, drop: 0.2, pipe: 0.15, pour: 0.15, spreadThin: 0.4, windows: 0.05, line: 2.5, lid: 1, pressIn: 2, pat: 0.3, fill: 0.1, close: 0.4, rollUp: 0.4, crimp: 1, brush: 0.04, strew: 0.03, sandwich: 0.2, strip: 0.4 },
  'min of hands a piece; a strip of a lattice',
  'judgement',
  'one pair of hands; a larger batch takes longer, and a kitchen’s own runs show its own times',
); // prettier-ignore
export const heatUpMin = fact(20, 'min', 'judgement', 'an oven whose heating was never timed, cold to ready');
export const weighTolerance = table(
  { share: 0.01, steps: 2, holdS: 2, steadyS: 0.8, sameG: 0.35 },
  'share of the amount, steps of the scale, s, s, g',
  'judgement',
  'a hundredth of what is weighed or two steps of the scale, whichever is more; goes on when it has held so long; readings of so many seconds that differ by less are one rest of the pan, and count by their mean',
);
export const farWeight = table(
  { low: 0.6, high: 1.6 },
  'of what was planned',
  'judgement',
  'a bag forgotten, a nought too few or too many; a hand that means it says so once more',
);
export const feelDosing = table(
  { aimRatio: 1.01, firstShare: 0.5, leastG: 3, spoonStep: 0.5 },
  'gets over wants, share of the correction, g, spoons',
  'judgement',
  'the middle of what rolls clean; half of what seems missing first, feel again, then the rest, then stop: a third dose chases the hand',
);
export const feelWarmth = table(
  { warmK: 3, coldK: 5 },
  'K warmer, colder than planned',
  'judgement',
  'fat that has softened feels like water, fat that has set like its lack: beyond this the temperature is mended first',
);
export const doneNearMin = fact(1.5, 'min', 'judgement', 'what one more look is worth where no looks were planned');
