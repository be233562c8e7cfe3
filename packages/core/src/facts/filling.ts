import { fact, table } from './fact.js';

export const fillingDensity = fact(1.05, 'g/ml', 'judgement', 'fruit, cream and cheese fillings lie near 1 to 1.1');
export const juicyFrom = fact(0.6, 'water share', 'judgement', 'fruit and vegetables from here on give juice');
export const juice = table(
  { heatShare: 0.35, perSugar: 1, perSalt: 4, mostShare: 0.75, setMin: 20 },
  'share of the water, g per g, g per g, share, min',
  'judgement',
  'heat breaks cells; sugar and salt draw juice, most of it in the first half hour (common practice: berries 10 to 30 min, no source)',
);
export const holds = table(
  { starch: 12, flour: 5, gum: 60, egg: 4 },
  'g of juice per g',
  'commonPractice',
  'a sliceable fruit pie takes 30 to 40 g of starch to 400 g of juice, a custard an egg to 200 to 250 g of milk; flour and gum by their strength; no source',
);
export const weepShare = table(
  { watch: 0.04, fix: 0.12 },
  'share of the filling',
  'judgement',
  'free juice that is seen on the plate, and that soaks the base',
);
export const fillingSets = table(
  { juicyC: 85, eggC: 77, otherC: 75, crustC: 80, dryBelow: 0.4 },
  'C; share of water',
  'commonPractice',
  'open fruit with starch thickens, custard sets, what was cooked or is meat gets hot through (75 C is a usual limit for both); jam, chocolate and nuts ask for nothing, the dough against them sets from 80; no source',
);
export const fruitBubblesC = fact(
  95,
  'C',
  'commonPractice',
  'a fruit filling is done when it bubbles in the middle: its starch has swollen by then, and holds; no source',
);
export const pieCrustRimMm = fact(10, 'mm', 'commonPractice', 'rim left bare around an open filling; no source');
export const dishHeadroomMm = fact(3, 'mm', 'judgement', 'a boiling filling rises; left free under the rim');

export const foldedBleeds = fact(
  0.05,
  'share of its water',
  'judgement',
  'skins and cut faces give a little juice to the dough as fruit is folded in; sugar and salt of its own draw more (juice), nothing else does',
);

export const componentCooling = table(
  { cooledFromMin: 30, standMin: 60 },
  'min',
  'judgement',
  'a pan of cooked fruit or custard falls under the melting range of butter in half an hour to an hour, spread flat',
);
