import { c, daysOf, g, micrograms, minutes, of, pc, percent, tone } from './how-said.js';
import { foodWords } from './words-food.js';
import type { Finding, FindingCode } from './finding.js';
import type { Words } from './how-said.js';

export type { Words } from './how-said.js';

const words: Record<FindingCode, (finding: Finding) => Words> = {
  ...foodWords,
  'blend.gritty': (f) => ({
    what: 'The blend is gritty',
    why: `Grit ${(f.measured?.value ?? 0).toFixed(2)}, felt from about ${f.measured?.high}.`,
    change: 'Use a finer grind, or rest the dough 30 to 60 min.',
  }),
  'blend.starchLow': (f) => ({
    what: 'Little starch in the blend',
    why: `${percent(f.measured?.value, 0)} starch, this family holds from ${percent(f.measured?.low, 0)}: it eats dense.`,
    change: 'Swap some flour for potato or tapioca starch.',
  }),
  'blend.starchHigh': (f) => ({
    what: 'Much starch in the blend',
    why: `${percent(f.measured?.value, 0)} starch, this family holds up to ${percent(f.measured?.high, 0)}: gummy hot, chalky cold.`,
    change: 'Swap some starch for a flour.',
  }),
  'blend.oneStarchHigh': (f) => ({
    what: `Much ${of(f)}`,
    why: `${percent(f.measured?.value, 0)} of the blend; past ${percent(f.measured?.high, 0)} one starch sets the tone: stretch, gum or chalk.`,
    change: 'Share it between two starches.',
  }),
  'dough.shortOfWater': (f) => ({
    what: 'Short of water: edges will crack',
    why: `It gets ${g(f.measured?.value)} and wants from ${g(f.measured?.low)}.`,
    change: 'Pour more, keep two spoons back and feel it.',
  }),
  'dough.tooWet': (f) => ({
    what: 'Too wet: it will stick',
    why: `It gets ${g(f.measured?.value)} and wants at most ${g(f.measured?.high)}.`,
    change: 'Pour less; warm dough also feels wet, so chill before you judge.',
  }),
  'dough.fatLow': (f) => ({
    what: 'Lean for this family',
    why: `${pc(f.measured?.value)} fat on the blend, from ${pc(f.measured?.low)}: it bakes hard.`,
    change: 'Add fat.',
  }),
  'dough.fatHigh': (f) => ({
    what: 'Rich for this family',
    why: `${pc(f.measured?.value)} fat on the blend, up to ${pc(f.measured?.high)}: it crumbles and feels greasy.`,
    change: 'Take some fat out.',
  }),
  'dough.saltLow': (f) => ({
    what: 'Little salt',
    why: `${pc(f.measured?.value)}, from ${pc(f.measured?.low)}: it tastes flat.`,
    change: 'Add salt.',
  }),
  'dough.saltHigh': (f) => ({
    what: 'Much salt',
    why: `${pc(f.measured?.value)}, up to ${pc(f.measured?.high)}.`,
    change: 'Take salt out; check that grams are grams.',
  }),
  'dough.sugarLow': (f) => ({
    what: 'Little sugar for this family',
    why: `${pc(f.measured?.value)} sugar, from ${pc(f.measured?.low)}: it stays pale and bakes less crisp.`,
    change: 'Add sugar.',
  }),
  'dough.eggLow': (f) => ({
    what: 'Little egg for this family',
    why: `${pc(f.measured?.value)} of the blend, from ${pc(f.measured?.low)}: it crumbles once baked.`,
    change: 'Add beaten egg and take its water off, or swap in a gel.',
  }),
  'dough.eggHigh': (f) => ({
    what: 'Much egg for this family',
    why: `${pc(f.measured?.value)} of the blend, up to ${pc(f.measured?.high)}: it bakes cakey and tough.`,
    change: 'Take some egg out; half an egg is half of it beaten.',
  }),
  'dough.nutsLow': (f) => ({
    what: 'Few nuts for this family',
    why: `${pc(f.measured?.value)} of the blend, from ${pc(f.measured?.low)}: it eats dry.`,
    change: 'Add ground nuts.',
  }),
  'dough.nutsHigh': (f) => ({
    what: 'Many nuts for this family',
    why: `${pc(f.measured?.value)} of the blend, up to ${pc(f.measured?.high)}: greasy, and it breaks when lifted.`,
    change: 'Take some ground nuts out.',
  }),
  'dough.yeastLow': (f) => ({
    what: 'Little yeast',
    why: `${pc(f.measured?.value)} dried yeast, from ${pc(f.measured?.low)}: it proves slowly, or not at all.`,
    change: 'Add yeast.',
  }),
  'dough.yeastHigh': (f) => ({
    what: 'Much yeast',
    why: `${pc(f.measured?.value)} dried yeast, up to ${pc(f.measured?.high)}: it tastes of yeast and falls.`,
    change: 'Take some yeast out.',
  }),
  'dough.leavenerLow': (f) => ({
    what: 'Little leavener',
    why: `${pc(f.measured?.value)}, from ${pc(f.measured?.low)}: it stays flat and dense.`,
    change: 'Add baking powder.',
  }),
  'dough.sugarHigh': (f) => ({
    what: 'Sweet for this family',
    why: `${pc(f.measured?.value)} sugar, up to ${pc(f.measured?.high)}: it browns early and softens sooner.`,
    change: 'Take sugar out, or choose a sweet cracker.',
  }),
  'dough.leavenerHigh': (f) => ({
    what: 'Much leavener',
    why: `${pc(f.measured?.value)}, up to ${pc(f.measured?.high)}: soapy or metallic, and it collapses.`,
    change: 'Take some out.',
  }),
  'dough.binderLow': (f) => ({
    what: 'Little to bind it',
    why: `Gums reach ${percent(f.measured?.value, 0)} of what this family needs, from ${percent(f.measured?.low, 0)}: the dough tears or crumbles.`,
    change: 'Add xanthan or husk to the blend.',
  }),
  'dough.binderHigh': (f) => ({
    what: 'Much gum',
    why: `Gums reach ${percent(f.measured?.value, 0)} of what this family needs, up to ${percent(f.measured?.high, 0)}: elastic and gummy, browns badly.`,
    change: 'Take some gum out of the blend.',
  }),
  'dough.freeSoda': (f) => ({
    what: 'Soda with no acid to meet it',
    why: `${pc(f.measured?.value)} of the blend is left free, from ${pc(f.measured?.high)} it tastes of soap and browns early.`,
    change: 'Less soda, or an acid: cream of tartar, buttermilk, lemon.',
  }),
  'dough.syrupHigh': (f) => ({
    what: 'Much of the sugar is syrup',
    why: `${percent(f.measured?.value, 0)} of it, up to ${percent(f.measured?.high, 0)} stays crisp: syrup draws water.`,
    change: 'Swap part of the syrup for sugar; its water is held.',
  }),
  'dough.saltHidden': (f) => ({
    what: 'More salt than it looks',
    why: `Butter, cheese or leavener bring it to ${pc(f.measured?.value)} of salt in all, up to ${pc(f.measured?.high)}.`,
    change: 'Take that much salt out, or use unsalted butter.',
  }),
  'dough.fatTooSoft': (f) => ({
    what: `${of(f)} is too soft for how it goes in`,
    why: `${Math.round(f.measured?.value ?? 0)} % of it is solid, from ${Math.round(f.measured?.low ?? 0)} %: it smears and coats the flour.`,
    change: 'Chill it before it goes in.',
  }),
  'dough.fatTooHard': (f) => ({
    what: `${of(f)} is too hard for how it goes in`,
    why: `${Math.round(f.measured?.value ?? 0)} % of it is solid, up to ${Math.round(f.measured?.high ?? 0)} %: it takes no air, or stays in lumps.`,
    change: 'Let it stand until it is as warm as it has to be.',
  }),
  'dough.fatPiecesThick': (f) => ({
    what: `${of(f)}: pieces thicker than the sheet carries`,
    why: `${f.measured?.value} mm in this sheet, up to ${(f.measured?.high ?? 0).toFixed(0)} mm: they melt to holes.`,
    change: 'Cut it smaller; it stays flaky.',
  }),
  'dough.fatPiecesSmall': (f) => ({
    what: `${of(f)}: pieces small for this family`,
    why: `${f.measured?.value} mm, from ${f.measured?.low} mm: it bakes short, not flaky.`,
    change: 'Stop cutting sooner, or choose rubbed in and mean it.',
  }),
  'dough.spreadFat': (f) => ({
    what: `${of(f)} in a dough that is rolled`,
    why: `${percent(f.measured?.value, 0)} fat and soft when cold: it never firms, and the sheet sticks.`,
    change: 'Swap it for butter, shortening or a block; its water is held.',
  }),
  'dough.oilInPieces': (f) => ({
    what: `${of(f)} cannot be cut in or creamed`,
    why: 'It is liquid at any temperature of a kitchen: no flake, no air.',
    change: 'Let it go in as oil, or swap it for a solid fat.',
  }),
  'dough.dryGel': (f) => ({
    what: `${of(f)} goes in dry`,
    why: 'Husk, flax and chia that meet the flour dry lump, and go on drinking while you roll.',
    change: 'Soak it in part of the water first.',
  }),
  'dough.rowTwice': (f) => ({
    what: `${of(f)} stands here twice`,
    why: `Together ${g(f.measured?.value)}. It may be a line entered twice.`,
    change: 'Put it into one row, or take one out.',
  }),
  'dough.belowScale': (f) => ({
    what: `${of(f)} is less than your scale tells`,
    why: `${(f.measured?.value ?? 0).toFixed(2)} g; below ${(f.measured?.low ?? 0).toFixed(1)} g a reading may be a tenth out or more.`,
    change: 'Make a larger batch, or weigh ten times as much with flour and use a tenth.',
  }),
  'dough.noHoldBack': () => ({
    what: 'No water held back',
    why: 'The right water is not known to the spoon: what is poured cannot be taken out.',
    change: 'Hold two spoons back and feel it.',
  }),
  'dough.restForGrit': (f) => ({
    what: 'A rest would take the grit away',
    why: `Grit ${(f.measured?.value ?? 0).toFixed(2)} is felt, from about ${f.measured?.high}; fine flour softens in half an hour.`,
    change: 'Rest it before chilling.',
  }),
  'dough.waterNotCold': (f) => ({
    what: 'Water alone cannot bring it there',
    why: `It ends at ${c(f.measured?.value)}, wanted ${c(f.measured?.high)}, with the coldest or warmest water there is.`,
    change: of(f) ? `Chill ${of(f)}.` : 'Warm the blend, or want a colder dough.',
  }),
  'dough.mixForgets': (f) => ({
    what: `No step puts in ${of(f)}`,
    why: `The mix puts in ${percent(f.measured?.value, 0)} of it.`,
    change: 'Give it a step.',
  }),
  'dough.mixTwice': (f) => ({
    what: `The mix puts in more ${of(f)} than there is`,
    why: `${percent(f.measured?.value, 0)} of it over all steps.`,
    change: 'Take it out of a step.',
  }),
  'dough.ammonia': (f) => ({
    what: 'Baker’s ammonia in a thick or moist bake',
    why: `Its gas leaves thin dry goods only, up to ${f.measured?.high} mm; it also raises acrylamide.`,
    change: 'Use baking powder.',
  }),
  'dough.tooWarm': (f) => ({
    what: 'Dough ends warm',
    why: `${c(f.measured?.value)} after mixing, at most ${c(f.measured?.high)}: fat smears and it feels wet.`,
    change: 'Use colder water and flour.',
  }),
  'chill.tooWarm': (f) => ({
    what: 'Comes out too warm',
    why: `The middle is at ${c(f.measured?.value)}, wanted ${c(f.measured?.high)}: it will stick to the pin.`,
    change: 'Chill longer, or press the slab thinner.',
  }),
  'chill.tooHard': (f) => ({
    what: 'Comes out too hard',
    why: `The rim is at ${c(f.measured?.value)}, it bends from ${c(f.measured?.low)}: the edges split.`,
    change: 'Chill shorter, or let it stand on the table first.',
  }),
  'chill.placeTooWarm': (f) => ({
    what: `${of(f)} cannot reach the target`,
    why: `It is at ${(f.measured?.low ?? 0).toFixed(1)} °C, the target is ${c(f.measured?.value)}.`,
    change: 'Raise the target or choose a colder place.',
  }),
  'chill.tooLong': (f) => ({
    what: 'Cold for longer than it stays fresh',
    why: `${daysOf(f.measured?.value)} in the cold: it dries at the rim and greys. ${daysOf(f.measured?.high)} are enough.`,
    change: 'Wait less, or freeze it.',
  }),
  'chill.shortBench': (f) => ({
    what: 'Little time on the table',
    why: `${minutes(f.measured?.value)} until it is soft.`,
    change: 'Roll in two halves and keep one cold.',
  }),
  'sheet.tooThin': (f) => ({
    what: 'Thin for this family',
    why: `${f.measured?.value} mm, from ${f.measured?.low} mm: it tears and darkens in a minute.`,
    change: 'Roll it thicker.',
  }),
  'sheet.tooThick': (f) => ({
    what: 'Thick for this family',
    why: `${f.measured?.value} mm, up to ${f.measured?.high} mm: hard to bite and slow to dry.`,
    change: 'Roll it thinner.',
  }),
  'sheet.shortBatch': (f) => ({
    what: 'The batch is short of one piece',
    why: `There is ${percent(f.measured?.value, 0)} of what one takes; bake, keeping and Outlook are of a whole one.`,
    change: 'Make the batch a little larger, roll thinner, or take a smaller pan.',
  }),
  'sheet.noPiece': (f) => ({
    what: 'No piece comes out',
    why: `${of(f)} is larger than the sheet this dough makes.`,
    change: 'Cut smaller, roll thinner, or make more dough.',
  }),
  'sheet.scrapHigh': (f) => ({
    what: 'Much is left over',
    why: `${percent(f.measured?.value, 0)} of the dough ends in no piece.`,
    change: of(f) === '' ? 'Change the size of the piece, or of the batch.' : 'Roll the trim again, or change the size of the piece.',
  }),
  'sheet.traysShort': (f) => ({
    what: 'More trays than you have',
    why: `It fills ${f.measured?.value}, the kitchen has ${f.measured?.high}.`,
    change: 'Bake it in turns.',
  }),
  'sheet.offTray': (f) => ({
    what: 'Too large for the tray',
    why: `It does not lie flat on ${of(f)}.`,
    change: 'Cut smaller, or choose a larger tray.',
  }),
  'sheet.runTogether': (f) => ({
    what: 'Pieces will run together on the tray',
    why: `They lie ${f.measured?.value} mm apart, and each grows ${Math.round(f.measured?.low ?? 0)} mm wider.`,
    change: 'Lay them as far apart as they spread.',
  }),
  'sheet.pansShort': (f) => ({
    what: 'More pans than you have',
    why: `${f.measured?.value} pieces, and ${of(f)} takes ${f.measured?.high} at a time.`,
    change: 'Bake in turns; the dough that waits stays cold.',
  }),
  'sheet.overMat': (f) => ({
    what: 'The sheet is larger than the mat',
    why: `Rolled in ${f.measured?.value}, it does not lie on ${of(f)}.`,
    change: `Roll it in ${f.measured?.low} equal lots; the rest stays cold.`,
  }),
  'sheet.noCutter': (f) => ({
    what: 'No cutter of this size here',
    why: `It is cut ${f.measured?.value} mm across${of(f) === '' ? ', and no cutter of the kitchen comes near' : `; the nearest here is ${of(f)}`}.`,
    change: of(f) === '' ? 'Cut another shape, or name the cutter in the kitchen.' : 'Cut with it, or name the cutter in the kitchen.',
  }),
  'sheet.shelvesUneven': (f) => ({
    what: 'Two trays would bake unlike',
    why: `The shelves of ${of(f)} differ by ${Math.round(f.measured?.value ?? 0)} K.`,
    change: 'One tray at a time, or change places at half time.',
  }),
  'sheet.layersLost': () => ({
    what: 'Rolled scraps lose their layers',
    why: 'Balled up and rolled again, laminated dough rises crooked.',
    change: 'Stack offcuts flat, never ball them up; bake them as small pieces.',
  }),
  'sheet.notFolded': (f) => ({
    what: 'Fat to roll in, and no folds',
    why: `${g(f.measured?.value)} of it would lie on the dough in one piece and run out in the oven.`,
    change: 'Plan its folds, or mix it into the dough.',
  }),
  'sheet.layersThin': (f) => ({
    what: 'Dough layers are thin',
    why: `${Math.round(f.measured?.value ?? 0)} µm each; under about ${f.measured?.low} they tear and fat and dough merge. This is judgement, and kitchens do go further: set your own under Kitchen.`,
    change: 'One fold fewer, or a thicker last sheet.',
  }),
  'sheet.slabUnlike': (f) => ({
    what: 'Fat slab and dough differ in thickness',
    why: `${(f.measured?.value ?? 0).toFixed(1)} mm of fat in dough of ${of(f)} mm: the thicker breaks through.`,
    change: 'Roll the dough to the thickness of the fat.',
  }),
  'sheet.noRest': (f) => ({
    what: `${of(f)} comes without a rest`,
    why: 'A second fold in a row tears a dough without gluten, and warms the fat.',
    change: 'Chill it between the folds.',
  }),
  'sheet.foldWarm': (f) => ({
    what: `${of(f)} ends too warm`,
    why: `The middle comes to ${c(f.measured?.value)}; over ${c(f.measured?.high)} the fat smears into the dough.`,
    change: 'Rest it longer before, or work faster on a cold table.',
  }),
  'sheet.foldHard': (f) => ({
    what: `${of(f)} is too cold`,
    why: `${c(f.measured?.value)} in the middle; under ${c(f.measured?.low)} the fat breaks into plates.`,
    change: 'Let it stand on the table first, or rest it shorter.',
  }),
  'sheet.proofWarm': (f) => ({
    what: 'Proved too warm for its fat',
    why: `${of(f)} is at ${c(f.measured?.value)}; over ${c(f.measured?.high)} this fat runs out of the layers.`,
    change: 'Prove it cooler and longer, then chill it firm before the oven.',
  }),
  'bake.notDry': (f) => ({
    what: 'Not dry when it comes out',
    why: `${percent(f.measured?.value)} moisture, wanted ${percent(f.measured?.high)}: it bends tomorrow.`,
    change: 'Bake it longer.',
  }),
  'bake.notThrough': (f) => ({
    what: 'Not through when it comes out',
    why: `Its coldest place is at ${c(f.measured?.value)}, set from ${c(f.measured?.low)}: doughy, and it sinks.`,
    change: 'Bake it longer, or make it thinner.',
  }),
  'bake.weightsLeftOn': () => ({
    what: 'The weights stay on to the end',
    why: 'Under weights a base steams: it stays pale and damp.',
    change: 'Take them off for the last part.',
  }),
  'bake.fillingWeeps': (f) => ({
    what: 'The filling will weep',
    why: `About ${(f.measured?.value ?? 0).toFixed(0)} g of juice a piece is neither boiled away nor held.`,
    change: 'Hold it with more starch, or drain the fruit first.',
  }),
  'bake.fillingOver': (f) => ({
    what: 'More filling than the pan holds',
    why: `${(f.measured?.value ?? 0).toFixed(0)} g a piece run over; it holds ${(f.measured?.high ?? 0).toFixed(0)} g.`,
    change: 'Take less filling, or a deeper pan.',
  }),
  'bake.pale': (f) => ({
    what: 'Pale when it is dry',
    why: `${tone(f.measured?.value)}, golden from ${tone(f.measured?.low)}.`,
    change: 'Bake it longer or hotter.',
  }),
  'bake.tooDark': (f) => ({
    what: 'Too dark when it comes out',
    why: `${tone(f.measured?.value)}, too dark from ${tone(f.measured?.high)}: bitter, and acrylamide rises with colour.`,
    change: 'Take it out sooner.',
  }),
  'bake.tooDry': (f) => ({
    what: 'Drier than its kind',
    why: `${percent(f.measured?.value)} moisture when it comes out, its kind keeps at least ${percent(f.measured?.low)}: ${of(f) === 'soft' ? 'it crumbles and is stale tomorrow' : 'it bites hard, and cracks by itself as it cools'}.`,
    change: 'Take it out sooner.',
  }),
  'bake.acrylamide': (f) => ({
    what: f.level === 'watch' ? 'Acrylamide is most likely over the EU benchmark' : 'Acrylamide may be over the EU benchmark',
    why: `An estimate of ${micrograms(f.measured?.value)}, good to a factor of two or three, against ${micrograms(f.measured?.high)} for ${of(f)}. Only a laboratory knows.`,
    change: 'Paler, cooler and longer, no baker’s ammonia, sugar in place of honey or syrup.',
  }),
  'bake.slicedAfter': (f) => ({
    what: 'This is its first bake',
    why: `What the boards say is of the log. Sliced ${(f.measured?.value ?? 0).toFixed(0)} mm thick once its middle has cooled to 35 to 55 °C, it goes back at ${c(f.measured?.low)} for about ${minutes(f.measured?.high)}, until no slice gives in the middle.`,
    change: 'Slice and dry it.',
  }),
  'bake.fewTried': () => ({
    what: 'These minutes come from other goods',
    why: 'The oven was fitted on other kinds; of minutes bakers give for kinds like this, it was more than a fifth off one time in three.',
    change: 'Look early the first time. Your own bakes teach it.',
  }),
  'bake.darkBeforeDry': (f) => ({
    what: 'Dark before it is dry',
    why: `Too dark at ${minutes(f.measured?.value)}, dry and golden at ${minutes(f.measured?.low)}.`,
    change: 'Bake cooler and longer.',
  }),
  'bake.turnTray': (f) => ({
    what: 'Turn the tray at half time',
    why: `One side of this oven is ${Math.round(f.measured?.value ?? 0)} K hotter than the other.`,
    change: 'Turn it once.',
  }),
  'bake.baseBlisters': (f) => ({
    what: 'A bare base blisters',
    why: `Nothing holds it down: pricked every ${(f.measured?.high ?? 0).toFixed(0)} mm, or under weights, it stays flat.`,
    change: 'Prick it, or bake it under weights first.',
  }),
  'bake.dockedFilled': () => ({
    what: 'A pricked base leaks',
    why: 'It holds a filling: juice runs through the holes and bakes it to the pan.',
    change: 'Leave it whole.',
  }),
  'bake.ovenNotMeasured': () => ({
    what: 'This oven was never measured',
    why: 'Its dial is taken at its word; domestic dials are often 10 to 20 °C off.',
    change: 'Put a thermometer in it: half the spread goes away.',
  }),
  'keep.notCrisp': (f) => ({
    what: 'Does not snap when cold',
    why: `Water activity ${(f.measured?.value ?? 0).toFixed(2)}; this family snaps up to ${(f.measured?.high ?? 0).toFixed(2)}.`,
    change: 'Dry it further in the oven.',
  }),
  'keep.softBeforeSold': (f) => ({
    what: 'Soft before the last is sold',
    why: `It snaps for about ${Math.floor(f.measured?.value ?? 0)} days, sold within ${f.measured?.low}.`,
    change: 'Sell sooner, pack tighter, or dry further.',
  }),
  'keep.packedWarm': (f) => ({
    what: 'Packed warm',
    why: `${c(f.measured?.value)} when packed, at most ${c(f.measured?.high)}: steam softens it in the tin.`,
    change: 'Let it stand on the rack longer.',
  }),
  'keep.crustSoftens': (f) => ({
    what: 'The filling softens the crust before it is sold',
    why: `Its water has made the crust soft after about ${Math.max(1, Math.round(f.measured?.value ?? 0))} h; it is to last ${Math.round(f.measured?.low ?? 0)} h.`,
    change: 'Fill it at serving.',
  }),
};

/** The words of a finding. */
export const wordsFor = (finding: Finding): Words => words[finding.code](finding);
