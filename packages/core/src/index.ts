export { coreVersion } from './core-version.js';
export * from './document/bake.js';
export * from './document/edits.js';
export * from './document/formula.js';
export * from './document/happened.js';
export * from './document/kitchen.js';
export * from './document/pantry.js';
export * from './document/preparation.js';
export { at as valueIn, keysOf, numbersOf, patched } from './document/field.js';
export type { Case } from './document/case.js';
export type { DocumentOf, Field, Fields, NumberField, WordField } from './document/field.js';
export { bakeCaseFor, evaluate, problemsOf, findingsOf } from './evaluate.js';
export { InputError, refusalOf, replyTo, within } from './errors.js';
export type { Refusal, Reply } from './errors.js';
export { basisWords } from './facts/fact.js';
export { families, schools } from './facts/families.js';
export { usual } from './facts/usual.js';
export { stopSigns } from './facts/mixing.js';
export { actWords, mixWords, toolWords } from './entry/mix-words.js';
export { mixedBySchool } from './dough/mix.js';
export { thirstOfBlend } from './learn/felt.js';
export { doubtCode, learningDoubts } from './learn/true-bakes.js';
export type { LearningDoubt } from './learn/true-bakes.js';
export { learnedOven, MOST_LOADS } from './learn/oven.js';
export { explainChange } from './trials/explain.js';
export { blindSheet, byChance, chanceOf, criticalRight, power, tastersNeeded, tastingTests } from './trials/tasting.js';
export { seeded } from './math/seeded.js';
export type { Change, Effect, Explanation } from './trials/explain.js';
export type { TastingTest } from './trials/tasting.js';
export { goodsFromBakes, goodsWhats, ovenFromBakes } from './learn/from-bakes.js';
export type { RecordedBake } from './learn/from-bakes.js';
export type { FeltDough } from './learn/felt.js';
export { storedC } from './dough/temperature.js';
export { cachedNests, isCutShape, isPanShape, nestOfLayout, planSheet, piecesFromMass } from './sheet/plan.js';
export { figureOf, upsideDown } from './sheet/cut/figure.js';
export { placedOn } from './sheet/cut/nest.js';
export { fittingCutter } from './sheet/cut/cutters.js';
export { waysToCut } from './sheet/ways.js';
export { cutOrder } from './sheet/cut/cut-order.js';
export { docksOf, docksOfPart } from './sheet/docking.js';
export { templatesOf } from './sheet/cut/templates.js';
export { placedOnTray, trayNest } from './sheet/trays.js';
export { rolledG, standing } from './sheet/sheet.js';
export { shelvesApartK } from './sheet/sheet-findings.js';
export { firmnessAt } from './sheet/layers/lamination.js';
export { laminationLayers, mostFatLayers } from './sheet/layers/laminate.js';
export { latticeOf, panFormOf, panInside } from './pan/pan.js';
export { frothWords } from './facts/laminating.js';
export { pieRim, shelvesEvenK, twoThirdsSplit } from './facts/sheet.js';
export { crispLoss } from './facts/keeping.js';
export { stageNames, findingCodes, worstFirst } from './findings/finding.js';
export { saidFacts } from './findings/said-facts.js';
export { publishedIngredients } from './ingredient/published.js';
export { isBlendable, isExcluded, isFat, isGum, isNut, isPouredWater, isProteinType, isSoaked, isStarch } from './ingredient/roles.js';
export { withoutRow, withShare } from './blend/rebalance.js';
export { toneOf, lightnessOf } from './bake/tone.js';
export { dialFor } from './bake/oven.js';
export { ovenCare } from './bake/oven-care.js';
export { heatFromWeighing } from './bake/weighing.js';
export { daysAfter } from './units/days.js';
export { celsiusOfDial, dialOf, dialWords } from './units/dial.js';
export { bakeSamples, SAMPLES } from './bake/slab/samples.js';
export { caughtShare, doneBand, planLooks } from './bake/looks/looks.js';
export { looksAfter, toneSeen } from './bake/looks/looks-after.js';
export { looksStudy } from './bake/looks/looks-study.js';
export { pairMap, windowShare } from './bake/pair-map.js';
export { goesOnOf } from './dough/piece/goes-on.js';
export { chillWays } from './chill/ways.js';
export { madeReadyFor } from './chill/made-ready.js';
export { acrylamideMeasureIds, acrylamideMeasures, acrylamideWords } from './facts/acrylamide.js';
export type { AcrylamideMeasure } from './facts/acrylamide.js';
export { judged, judgements } from './facts/judgements.js';
export { HOT_TRAY } from './keep/cooling.js';
export { packOf } from './keep/keep.js';
export { bendIndexRange, binderRatioRange, gritLimit, spoonWaterG } from './facts/dough.js';
export { boilsAtC, pressureAt } from './matter/pressure.js';
export { gramsOf, inchesOf } from './units/convert.js';
export { readQuantity } from './units/read-quantity.js';
export {
  fixedMass,
  fromUnits,
  imperial,
  inUnits,
  metric,
  showDuration,
  showFraction,
  showQuantity,
  showStock,
  showValue,
  shownKinds,
  spoken,
  spokenValue,
  unitOf,
  unitSets,
} from './units/show.js';
export { roundTo } from './units/rounding.js';
export { readLine, readList } from './entry/read-line.js';
export { vagueMeasureNames, vagueVolumes } from './entry/measures.js';
export { readAmount } from './entry/read-amount.js';
export { massOfAmount } from './entry/mass-of-amount.js';
export { slipsIn } from './entry/slips.js';
export { formulaFromList } from './solve/from-list/formula-from-list.js';
export { linesOf, recipeOf } from './entry/recipe-json.js';
export type { ListedAmount } from './solve/from-list/formula-from-list.js';
export type { ReadLine } from './entry/read-line.js';
export type { PartOfList } from './facts/line-words.js';
export type { Slip } from './entry/slips.js';
export { costAt, fits } from './math/linear-model.js';
export { blendFromAmounts } from './blend/from-amounts.js';
export { findBlends } from './solve/blends/find-blend.js';
export { blendSpecFor, goalKeys, outAndIn, reaches, rowsOfAnswer, strengths, ways } from './solve/blends/goals.js';
export {
  componentFor,
  componentOfPiece,
  preparationOf,
  withNewComponent,
  withoutComponent,
  withoutRowAt,
  withPreparationOpened,
  withRowIn,
  withRowPartOf,
} from './solve/components.js';
export type { ComponentUse } from './solve/components.js';
export { factorForPan, factorForPieces, factorForShelf, factorsToPan, scaleCautions, scaled } from './solve/scale.js';
export type { ScaleCaution } from './solve/scale.js';
export { settled, starterFormula } from './solve/starter.js';
export { laminated } from './solve/laminated.js';
export { trialFromWheat } from './solve/from-wheat.js';
export type { WheatPlan, WheatStepCode } from './solve/from-wheat.js';
export { filledPan } from './sheet/fill-pan.js';
export { withOvenSettled } from './solve/from-list/settled.js';
export { guessFamily, type FamilyGuess } from './solve/from-list/guess-family.js';
export { isStillDoughOf, withDoughOf, withOwnDough } from './solve/dough-of.js';
export { swapFlour } from './solve/swap-flour.js';
export { swapChoices, swapRow } from './solve/swap-row.js';
export { takenAsMade } from './solve/as-made.js';
export type { HeldTotals, RowSwap } from './solve/swap-row.js';
export { decodeLabel, decodeLabelLoosely } from './label/decode-label.js';
export { labelItemOf, readIngredientList } from './label/box.js';
export type { BoxItem } from './label/box.js';
export { compositionOfPanel, usualComposition } from './label/from-panel.js';
export { imitationOf } from './label/imitate.js';
export { labelNutrients, nutrientsOf, printedValue } from './label/rounding.js';
export { blendBehaviour } from './blend/blend.js';
export { findIngredients, doesWhat } from './ingredient/search.js';
export { confusedWith, plain as plainName } from './ingredient/names.js';
export { correctableFields, wholeParts, withCorrections } from './ingredient/corrections.js';
export { keepingOf } from './ingredient/safety/hygiene.js';
export { fromBake, fromBlend, fromDough, fromPreparation } from './ingredient/made.js';
export { glutenLimitOf, glutenProof, isUnproven } from './ingredient/safety/gluten.js';
export { glutenRules, markets } from './facts/markets.js';
export type { Market } from './facts/markets.js';
export {
  liftBlend,
  liftEvent,
  liftFormula,
  liftHappened,
  liftIngredient,
  liftKitchen,
  liftLot,
  liftPantry,
  liftPreparation,
} from './lift.js';
export { allergenCodes, hazardsOf } from './ingredient/safety/allergens.js';
export { costOf, costPerG } from './ingredient/cost.js';
export { batchOf, stockUses } from './ingredient/stock.js';
export { leavesOf, reachedIds } from './ingredient/parts.js';
export type { Portion } from './ingredient/mixture.js';
export { lotsInUse, portionOf } from './ingredient/mixture.js';
export { suitability, suitName } from './ingredient/safety/suits.js';
export { suits } from './facts/suits.js';
export { isOfMixing, mixingSteps, runSteps } from './run/plan/steps.js';
export { ahead, beginningFor, leftMin, runTimes } from './run/times.js';
export { firstMinutes } from './run/first-minutes.js';
export { runState, isFarFromPlanned, weighToleranceG } from './run/state.js';
export { bowlDough } from './run/bowl.js';
export { neededRests } from './run/needed-rests.js';
export { keptEggOf, factorForGoods, factorOfKept, keptFor, needsColdOnceBaked, stepsFrom } from './run/left-over.js';
export { feelsByWarmth } from './run/feel-warmth.js';
export { feelAnswer } from './run/feel-answer.js';
export { measureKinds } from './run/measure-kinds.js';
export { bakedSymptoms, symptoms } from './facts/symptoms.js';
export { weighTolerance } from './facts/run.js';
export { emptyPan, panAfter, readPan, readScaleLine, readWeightMeasurement, restAfter, restReading, restarted } from './devices/scale.js';
export { hiddenKitchen, probeReading, readTemperatureMeasurement } from './devices/probe.js';
export type { RunTimes } from './run/times.js';
export type { RunningWait, RunState, StepProgress } from './run/state.js';
export type { NeededRest } from './run/needed-rests.js';
export type { FeelsByWarmth } from './run/feel-warmth.js';
export type { FeelAnswer } from './run/feel-answer.js';
export type { ScalePan as ScalePan, Rest as ScaleRest, ScaleReading } from './devices/scale.js';
export type { Course } from './devices/probe.js';
export { eatenWarm } from './keep/eaten-warm.js';
export { handlingOf, isUnderPin } from './dough/handling.js';
export type { Handling } from './document/handling.js';
export { demoPuffSticks } from './demo/puff-sticks.js';
export { newKitchen } from './solve/reference-kitchen.js';
export { demoKitchen, demoLots, demoLotsOn, demoPreparation, demoCrackerV1, demoCrackerV2 } from './demo/seeded-crackers.js';
export { outlookFromRating } from './outlook/rating.js';

export type { Evaluation } from './evaluate.js';
export type { LinearAnswer, LinearEngine, LinearModel } from './math/linear-model.js';
export type { BlendAnswer, FoundBlend } from './solve/blends/find-blend.js';
export type { BlendGoal, BlendSearch, GoalKey, LeftOut, Strength } from './solve/blends/goals.js';
export type { FlourSwap } from './solve/swap-flour.js';
export type { FromPanel } from './label/from-panel.js';
export type { Label, LabelPanelRow, LabelReading } from './label/decode-label.js';
export type { LabelNutrient, LabelRule } from './label/rounding.js';
export type { Limit } from './solve/blends/blend-model.js';
export type { Conflict } from './solve/blends/explain.js';
export type { BlendUnit } from './blend/from-amounts.js';
export type { GumDose } from './blend/gums.js';
export type { GlutenProof } from './ingredient/safety/gluten.js';
export { asVolume } from './units/as-volume.js';
export { readWant } from './units/read-want.js';
export type { CupFilling } from './units/volume.js';
export type { SuitId } from './facts/suits.js';
export type { Basis, Fact } from './facts/fact.js';
export type { Family, School, Window } from './facts/families.js';
export type { Judgement, JudgementName } from './facts/judgements.js';
export type { Estimate, Finding, FindingCode, Level, StageName, StageState } from './findings/finding.js';
export type { BlendResult, BlendRole } from './blend/blend.js';
export type { BakersPercents, DoughResult } from './dough/dough.js';
export type { SpreadOfWater } from './dough/water.js';
export type { Binder } from './dough/binders.js';
export type { WorkedFat } from './dough/fat.js';
export type { DoughTemperature } from './dough/temperature.js';
export type { ChillResult } from './chill/chill.js';
export type { ChillWay } from './chill/ways.js';
export type { MadeReady, ReadyThing } from './chill/made-ready.js';
export type { SheetResult } from './sheet/sheet.js';
export type { CutWay } from './sheet/ways.js';
export type { CutStep } from './sheet/cut/cut-order.js';
export type { Template } from './sheet/cut/templates.js';
export type { Body } from './sheet/body.js';
export type { Figure } from './sheet/cut/figure.js';
export type { Nest, Placed } from './sheet/cut/nest.js';
export type { LaminateResult, LaminateStep } from './sheet/layers/lamination.js';
export type { RolledSlab } from './sheet/layers/laminate.js';
export type { PartPlan, SheetLayout, SheetPlan } from './sheet/plan.js';
export type { BakeResult } from './bake/bake.js';
export type { OvenCare } from './bake/oven-care.js';
export type { LearnedHeat, TrayWeighing } from './bake/weighing.js';
export type { DialUnit } from './units/dial.js';
export type { LooksLeft, SeenAtLook } from './bake/looks/looks-after.js';
export type { LooksStudy } from './bake/looks/looks-study.js';
export type { PairCell } from './bake/pair-map.js';
export type { KeepResult } from './keep/keep.js';
export type { Outlook } from './outlook/outlook.js';
export type { QuantityKind } from './units/convert.js';
export type { ReadQuantity } from './units/read-quantity.js';
export type { Show, ShownKind, Units } from './units/show.js';
