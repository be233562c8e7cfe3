import { c, daysOf, g, hours, minutes, of, percent } from './how-said.js';
import type { Finding } from './finding.js';
import type { Words } from './how-said.js';

/** Words of what can make ill, of law, guests and lots. */
export const foodWords = {
  'gluten.contains': (f) => ({
    what: `Contains gluten: ${of(f)}`,
    why: 'It holds gluten by nature, or is taken as if it did: ordinary oats are not tested for it. It can never be part of a gluten-free bake.',
    change: 'Take it out.',
  }),
  'gluten.notProven': (f) => ({
    what: `Not proven: ${of(f)}`,
    why: 'Crops and mills mix. No report or certificate in time shows that this lot is under the limit.',
    change: 'Ask the supplier for a report or certificate, or use a lot that has one. Local rules win.',
  }),
  'gluten.overLimit': (f) => ({
    what: `Over your gluten limit: ${of(f)}`,
    why: `Its report says ${f.measured?.value} mg/kg; the rule here is ${f.measured?.high}, by the stricter of your market and your own limit. In the US and Canada exactly 20 does not pass.`,
    change: 'Use another lot or another flour.',
  }),
  'gluten.reportOld': (f) => ({
    what: `Old report: ${of(f)}`,
    why: `It is over ${f.measured?.high} months old; a crop and a mill change in that time.`,
    change: 'Ask the supplier for a new report of this lot.',
  }),
  'gluten.notInMarket': (f) => ({
    what: `Not in gluten-free food there: ${of(f).split(' | ')[0]}`,
    why: `The rule of ${of(f).split(' | ')[1] ?? 'this market'} refuses oats, malt or wheat starch in food called gluten-free, whatever a report says.`,
    change: 'Take it out, or say in the pantry where these goods are sold. Local rules win.',
  }),
  'gluten.wheatStarch': (f) => ({
    what: `Still wheat: ${of(f)}`,
    why: 'Starch of gluten-free grade is free of gluten, and wheat all the same: the label says “Contains wheat”, and a guest with a wheat allergy cannot have it.',
    change: 'Name it on the label; in the US with the sentence that it was processed to be gluten-free. Local rules win.',
  }),
  'gluten.onBag': (f) => ({
    what: `Taken on the bag’s word: ${of(f)}`,
    why: 'Its bag is marked gluten-free and this kitchen took that on record. It is not a report of this lot.',
    change: 'Good enough at home; for sale ask for a report or certificate.',
  }),
  'suit.broken': (f) => ({
    what: `Does not suit ${of(f)}`,
    why: 'It has to suit this guest or label, and every row counts: wash, grease and dust too.',
    change: 'Swap it. Labels and local rules win.',
  }),
  'suit.mayBreak': (f) => ({
    what: `May not suit ${of(f)}`,
    why: 'Some makers’ goods hold it or may hold it, or nobody read the label yet.',
    change: 'Read the label in hand; correct the ingredient in the pantry when it is free of it. Local rules win.',
  }),
  'lot.setAside': (f) => ({
    what: `Set aside, and named here: ${of(f)}`,
    why: 'Somebody set this lot aside for a reason.',
    change: 'Name another lot, or none.',
  }),
  'lot.pastBestBy': (f) => ({
    what: `Past its best-by day: ${of(f)}`,
    why: 'Whole-grain and nut flours turn bitter, leaveners lose their lift.',
    change: 'Dry goods: smell and taste them, or use another lot.',
  }),
  'lot.pastUseBy': (f) => ({
    what: `Past its use-by day: ${of(f)}`,
    why: 'What makes ill in egg, cream and raw dough does not smell.',
    change: 'Do not use it, do not taste it. Throw it away.',
  }),
  'lot.short': (f) => ({
    what: `Not enough left: ${of(f)}`,
    why: `This batch takes ${g(f.measured?.value)}, ${g(f.measured?.high)} is left.`,
    change: 'Bake less, or bring in more.',
  }),
  'blend.oneFlourHigh': (f) => ({
    what: `Much ${of(f)} in the blend`,
    why: `${percent(f.measured?.value, 0)} of it; bakers use ${percent(f.measured?.high, 0)} at most before taste, colour, bite or the stomach suffers.`,
    change: /^Potato FLOUR/.test(of(f))
      ? 'Did you mean potato starch? The flour is cooked and turns to glue.'
      : 'Swap some of it for another flour.',
  }),
  'dough.stoodLong': (f) => ({
    what: 'Stands warm for long',
    why: `${minutes(f.measured?.value)} before it is cold, at most ${minutes(f.measured?.high)}: germs grow in wet starch, and some outlive the oven.`,
    change: 'Rest it shorter, or in the cold. Local rules win.',
  }),
  'dough.rawEgg': () => ({
    what: 'Raw egg in the dough',
    why: 'Raw dough with egg is not ready to eat and does not stand warm. Raw flour is not ready to eat either.',
    change: 'Keep it at 5 °C or colder, use it within 3 days, wash what it touched. Local rules win.',
  }),
  'dough.coumarin': (f) => ({
    what: 'Much cinnamon, if it is cassia',
    why: `${percent(f.measured?.value)} of the dough; from about ${percent(f.measured?.high)} cassia brings more coumarin than the EU allows in bakery ware named for its cinnamon.`,
    change: 'Use Ceylon cinnamon, or less. Local rules win.',
  }),
  'dough.honey': (f) => ({
    what: 'Honey: not for infants under one year',
    why: `${g(f.measured?.value)} of honey. Its spores outlive the oven and can make an infant very ill.`,
    change: 'Say it to whom you give these, or take maple or rice syrup. Local rules win.',
  }),
  'chill.eggTooLong': (f) => ({
    what: 'Raw egg waits too long',
    why: `${daysOf(f.measured?.value)} in the cold; dough with raw egg is used within ${daysOf(f.measured?.high)}.`,
    change: 'Wait less, or freeze it. Local rules win.',
  }),
  'chill.eggTooWarm': (f) => ({
    what: 'Raw egg stands warm too long',
    why: `${minutes(f.measured?.value)} above 5 °C from its first wetting, rests and waits together; dough with raw egg stands warm ${minutes(f.measured?.high)} at most.`,
    change: 'Shorten the wait, or put it in the cold. Local rules win.',
  }),
  'sheet.warmTooLong': (f) => ({
    what: `Warm too long for ${of(f)}`,
    why: `${minutes(f.measured?.value)} above 5 °C from first wetting to the oven, rests, waits and proof together; ${of(f)} stands warm ${minutes(f.measured?.high)} at most.`,
    change: 'Shorten the longest of them, or let it stand in the cold. Local rules win.',
  }),
  'bake.eggNotSafe': (f) => ({
    what: 'Egg in it is not heated through',
    why: `The coldest place is at ${c(f.measured?.value)}; dishes with egg are held safe from ${c(f.measured?.low)}. Check with a probe; local rules come first.`,
    change: 'Bake it longer.',
  }),
  'keep.rawEgg': (f) => ({
    what: `This egg meets no heat: ${g(f.measured?.value)}`,
    why: 'Raw egg in an icing, mousse or cream can carry salmonella: not for children, the old, the pregnant, or anyone who is ill.',
    change: 'Use pasteurised egg or powder, or cook it to 71 °C (160 °F) and say so in the preparation; keep it at 5 °C. Local rules win.',
  }),
  'keep.needsCold': (f) => ({
    what: `It needs the cold: ${of(f)}`,
    why: `Moist food that is not acid is kept at ${c(f.measured?.high)} or colder, and stands out ${(f.measured?.value ?? 0).toFixed(0)} hours at most in all. Plant custards and cooked vegetables too.`,
    change: 'Keep it in a fridge of 5 °C or colder until it is eaten. Local rules win.',
  }),
  'keep.coldTooLong': (f) => ({
    what: 'Sold longer than the cold keeps it',
    why: `${daysOf(f.measured?.low)}; food that needs the cold is eaten within ${daysOf(f.measured?.high)} at 5 °C: ${of(f)}.`,
    change: 'Sell it sooner, or freeze it. Local rules win.',
  }),
  'keep.coolsSlowly': (f) => ({
    what: 'Cools too slowly to be safe',
    why: `${hours(f.measured?.value)} from 57 °C to ${of(f)} °C; cooked food that needs the cold takes ${hours(f.measured?.high)} at most: 2 h to 21 °C, 6 h in all to 5 °C.`,
    change: 'Into the fridge sooner, in smaller or thinner pieces, uncovered. Local rules win.',
  }),
  'keep.mayMould': (f) => ({
    what: 'May mould before it is sold',
    why: `By its wettest part it stays free of mould about ${daysOf(f.measured?.value)} where it is kept; it is to last ${daysOf(f.measured?.low)}.`,
    change: 'Sell it sooner, freeze it, or dry it further. Local rules win.',
  }),
} satisfies Record<string, (finding: Finding) => Words>;
