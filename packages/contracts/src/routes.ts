import type { BakeEvent, Guest, Kitchen, KitchenThings } from '@north-leaf/core';
import type { Bake, BakeBody, BakesPart, Run, StartBody } from './bakes.js';
import type { BlendBody, BoxLabel, FindBlendsBody, FoundBlends, ImitateBody, LibraryBlend, ReadLabel } from './blends.js';
import type {
  CrumbBody,
  Draft,
  DraftBody,
  FormulaDetail,
  FormulaName,
  FormulasPart,
  FormulaVersion,
  NewFormulaBody,
  SavedVersion,
  VersionBody,
} from './formulas.js';
import type {
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
import type { News } from './news.js';
import type {
  BatchBody,
  IngredientChangeBody,
  LotBody,
  OwnIngredientBody,
  PantryBook,
  PreparationBody,
  Stored,
  StoredFile,
} from './pantry.js';

/** What a server that is well says of itself. */
export type Health = { readonly status: 'ok'; readonly database: 'ok'; readonly coreVersion: string };

/** Answered by nothing but that it is done. */
type Done = undefined;

/**
 * Every address of the API with what it answers: the pages ask by it, the server's routes are checked against it, and the API's
 * description is made from it.
 */
export type Answers = {
  readonly 'GET /health': Health;

  readonly 'GET /news': News;

  readonly 'GET /formulas': FormulasPart;
  readonly 'GET /formulas/names': readonly FormulaName[];
  readonly 'GET /formulas/:id': FormulaDetail;
  readonly 'PUT /formulas/:id': SavedVersion;
  readonly 'PUT /formulas/:id/draft': Draft;
  readonly 'DELETE /formulas/:id/draft': Done;
  readonly 'GET /formulas/:id/versions/:version': FormulaVersion;
  readonly 'PUT /formulas/:id/versions/:versionId': SavedVersion;
  readonly 'PUT /formulas/:id/versions/:version/crumb/:ingredientId': Stored;

  readonly 'GET /bakes': BakesPart;
  readonly 'GET /bakes/running': readonly Run[];
  readonly 'GET /bakes/:id': Run;
  readonly 'PUT /bakes/:id': Bake;
  readonly 'PUT /bakes/:id/run': Run;
  readonly 'POST /bakes/:id/events': readonly BakeEvent[];
  readonly 'PUT /bakes/:id/photos/:photoId': readonly BakeEvent[];

  readonly 'GET /kitchens': readonly ListedKitchen[];
  readonly 'PUT /kitchens/:id': Kitchen;
  readonly 'PUT /kitchens/:id/open': Kitchen;

  readonly 'GET /kitchen': Kitchen;
  readonly 'PUT /kitchen/gluten-limit': Kitchen;
  readonly 'PUT /kitchen/market': Kitchen;
  readonly 'PUT /kitchen/about': Kitchen;
  readonly 'PUT /kitchen/air': Kitchen;
  readonly 'PUT /kitchen/mat': Kitchen;
  readonly 'DELETE /kitchen/mat': Kitchen;
  readonly 'PUT /kitchen/measures/:name': Kitchen;
  readonly 'PUT /kitchen/names/:name': Kitchen;
  readonly 'DELETE /kitchen/names/:name': Kitchen;
  readonly 'PUT /kitchen/judgements': Kitchen;
  readonly 'PUT /kitchen/learned': Kitchen;
  readonly 'PUT /kitchen/guests/:id': Kitchen;
  readonly 'DELETE /kitchen/guests/:id': Kitchen;
  readonly 'PUT /kitchen/ovens/:id/heat': Kitchen;
  readonly 'DELETE /kitchen/ovens/:id/heat': Kitchen;
  readonly 'PUT /kitchen/ovens/:id': Kitchen;
  readonly 'PUT /kitchen/places/:id': Kitchen;
  readonly 'PUT /kitchen/trays/:id': Kitchen;
  readonly 'PUT /kitchen/pans/:id': Kitchen;
  readonly 'PUT /kitchen/cutters/:id': Kitchen;
  readonly 'DELETE /kitchen/:list/:id': Kitchen;

  readonly 'GET /pantry': PantryBook;
  readonly 'PUT /pantry/lots/:id': Stored;
  readonly 'DELETE /pantry/lots/:id': Done;
  readonly 'PUT /pantry/ingredients/:id/change': Stored;
  readonly 'PUT /pantry/ingredients/:id/own': Stored;
  readonly 'DELETE /pantry/ingredients/:id': Done;
  readonly 'GET /pantry/:kind/:id/papers': readonly StoredFile[];
  readonly 'PUT /pantry/:kind/:id/papers/:paperId': readonly StoredFile[];
  readonly 'DELETE /pantry/:kind/:id/papers/:paperId': Done;
  readonly 'PUT /pantry/preparations/:id': Stored;
  readonly 'DELETE /pantry/preparations/:id': Done;
  readonly 'PUT /pantry/preparations/:id/batches/:lotId': Stored;
  readonly 'DELETE /pantry/preparations/:id/batches/:lotId': Done;

  readonly 'GET /blends': readonly LibraryBlend[];
  readonly 'PUT /blends/:id': LibraryBlend;
  readonly 'PUT /blends/:id/versions/:version/as-ingredient': Stored;
  readonly 'POST /blends/find': FoundBlends;
  readonly 'POST /blends/imitate': FoundBlends;
  readonly 'POST /blends/read-label': ReadLabel;
};
/** What is sent to those that take something. */
export type Bodies = {
  readonly 'PUT /formulas/:id': NewFormulaBody;
  readonly 'PUT /formulas/:id/draft': DraftBody;
  readonly 'PUT /formulas/:id/versions/:versionId': VersionBody;
  readonly 'PUT /formulas/:id/versions/:version/crumb/:ingredientId': CrumbBody;
  readonly 'PUT /bakes/:id': BakeBody;
  readonly 'PUT /bakes/:id/run': StartBody;
  readonly 'POST /bakes/:id/events': readonly BakeEvent[];
  readonly 'PUT /kitchens/:id': NewKitchenBody;
  readonly 'PUT /kitchen/gluten-limit': GlutenLimitBody;
  readonly 'PUT /kitchen/market': MarketBody;
  readonly 'PUT /kitchen/about': AboutBody;
  readonly 'PUT /kitchen/air': AirBody;
  readonly 'PUT /kitchen/mat': MatBody;
  readonly 'PUT /kitchen/measures/:name': MeasureBody;
  readonly 'PUT /kitchen/names/:name': NameBody;
  readonly 'PUT /kitchen/judgements': JudgementsBody;
  readonly 'PUT /kitchen/learned': LearnedBody;
  readonly 'PUT /kitchen/guests/:id': Guest;
  readonly 'PUT /kitchen/ovens/:id/heat': OvenHeatBody;
  readonly 'PUT /kitchen/ovens/:id': KitchenThings['ovens'];
  readonly 'PUT /kitchen/places/:id': KitchenThings['places'];
  readonly 'PUT /kitchen/trays/:id': KitchenThings['trays'];
  readonly 'PUT /kitchen/pans/:id': KitchenThings['pans'];
  readonly 'PUT /kitchen/cutters/:id': KitchenThings['cutters'];
  readonly 'PUT /pantry/lots/:id': LotBody;
  readonly 'PUT /pantry/ingredients/:id/change': IngredientChangeBody;
  readonly 'PUT /pantry/ingredients/:id/own': OwnIngredientBody;
  readonly 'PUT /pantry/preparations/:id': PreparationBody;
  readonly 'PUT /pantry/preparations/:id/batches/:lotId': BatchBody;
  readonly 'PUT /blends/:id': BlendBody;
  readonly 'POST /blends/find': FindBlendsBody;
  readonly 'POST /blends/imitate': ImitateBody;
  readonly 'POST /blends/read-label': BoxLabel;
};
export type Route = keyof Answers;
export type AnswerOf<R extends Route> = Answers[R];
export type BodyOf<R extends Route> = R extends keyof Bodies ? Bodies[R] : undefined;

type Named<Path extends string> = Path extends `${string}/:${infer Name}/${infer Rest}`
  ? Name | Named<`/${Rest}`>
  : Path extends `${string}/:${infer Name}`
    ? Name
    : never;
/** What an address names by a colon, and what is asked besides after a question mark. */
export type AddressOf<R extends Route> = { readonly [K in Named<R>]: string | number } & {
  readonly [besides: string]: string | number | undefined;
};

/**
 * The address of a route, its parts filled in and the rest of them behind a question mark.
 *
 * @example
 * addressOf('GET /bakes/:id', { id: 'a' }); // => { method: 'GET', path: '/bakes/a' }
 * addressOf('GET /bakes', { limit: 20 }); // => { method: 'GET', path: '/bakes?limit=20' }
 */
export function addressOf<R extends Route>(route: R, parts: AddressOf<R>): { readonly method: Method; readonly path: string } {
  const [method, template] = route.split(' ') as [Method, string];
  const named = new Set<string>();
  const path = template.replace(/:(\w+)/g, (_all, name: string) => {
    named.add(name);
    return encodeURIComponent(String((parts as Record<string, string | number>)[name]));
  });
  const asked = Object.entries(parts).flatMap(([name, value]) =>
    named.has(name) || value === undefined ? [] : [`${encodeURIComponent(name)}=${encodeURIComponent(String(value))}`],
  );
  return { method, path: asked.length === 0 ? path : `${path}?${asked.join('&')}` };
}
export type Method = 'GET' | 'PUT' | 'POST' | 'DELETE';
