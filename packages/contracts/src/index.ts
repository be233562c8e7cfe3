export { apiErrorCodes, check, dotted } from './check.js';
export type { ApiErrorBody, ApiErrorCode, Checked, Problem } from './check.js';
export { draftBodySchema, formulaSchema, versionBodySchema } from './formulas.js';
export type {
  Draft,
  DraftBody,
  FormulaDetail,
  FormulaListItem,
  FormulaVersion,
  SavedVersion,
  SetAside,
  StageStates,
  Typed,
  VersionBody,
  VersionHead,
} from './formulas.js';
export { bakeBodySchema, eventsBodySchema, measuredWhats } from './bakes.js';
export type { Bake, BakeBody, BakeEvent, Happened, MeasuredWhat } from './bakes.js';
