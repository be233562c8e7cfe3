export { apiErrorCodes, check } from './check.js';
export { isInherited, isUuid } from './fields.js';
export type { Part } from './fields.js';
export { isText, pathOf } from './sound.js';
export type { ApiErrorBody, ApiErrorCode, Checked } from './check.js';
export type { Problem } from './sound.js';
export { crumbBodySchema, draftBodySchema, formulaSchema, newFormulaBodySchema, versionBodySchema } from './formulas.js';
export type {
  CrumbBody,
  Draft,
  DraftBody,
  FormulaDetail,
  FormulaListItem,
  FormulaName,
  FormulasPart,
  FormulaVersion,
  NewFormulaBody,
  SavedVersion,
  SetAside,
  StageStates,
  Typed,
  VersionBody,
  VersionHead,
} from './formulas.js';
export { bakeBodySchema, eventsBodySchema, startBodySchema } from './bakes.js';
export { measureLimits } from './measure-limits.js';
export type { Bake, BakeBody, BakesPart, ListedBake, Run, StartBody } from './bakes.js';
export { batchBodySchema, ingredientChangeBodySchema, lotBodySchema, ownIngredientBodySchema, preparationBodySchema } from './pantry.js';
export type {
  BatchBody,
  IngredientChangeBody,
  LotBody,
  OwnIngredientBody,
  PantryBook,
  PreparationBody,
  Revisions,
  Stored,
  StoredFile,
} from './pantry.js';
export {
  airBodySchema,
  glutenLimitBodySchema,
  guestBodySchema,
  judgementsBodySchema,
  kitchenThingSchemas,
  learnedBodySchema,
  aboutBodySchema,
  newKitchenBodySchema,
  marketBodySchema,
  matBodySchema,
  measureBodySchema,
  nameBodySchema,
  ovenHeatBodySchema,
} from './kitchen.js';
export type {
  AirBody,
  GlutenLimitBody,
  JudgementsBody,
  LearnedBody,
  AboutBody,
  ListedKitchen,
  NewKitchenBody,
  MarketBody,
  MatBody,
  MeasureBody,
  NameBody,
  OvenHeatBody,
} from './kitchen.js';
export { blendBodySchema, boxLabelSchema, findBlendsBodySchema, imitateBodySchema } from './blends.js';
export type { BlendBody, BoxLabel, FindBlendsBody, FoundBlends, ImitateBody, LibraryBlend, ReadLabel } from './blends.js';
export type { News } from './news.js';
export { addressOf } from './routes.js';
export type { AddressOf, AnswerOf, Answers, BodyOf, Health, Method, Route } from './routes.js';
