/** What other rooms may have of what every board stands on. */
export { AllergenLine } from './allergen-line';
export {
  Board,
  BoardProvider,
  FormulaField,
  Waiting,
  pointerOf,
  useAnswer,
  useFormula,
  useHandling,
  useProblem,
  useSet,
  useSurroundings,
} from './board';
export { useEarlyDough } from './early-dough';
export { layerQuestion, portionQuestion, rulingOf, stageLabelOf, stageLabels, stageQuestions } from './stages';
export { Waits } from './waits';
export { OnWholeBoard, useWholeBoard } from './whole-board';
