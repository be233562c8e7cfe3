import { applyDecorators } from '@nestjs/common';
import { ApiExtension } from '@nestjs/swagger';
import { described } from './answers.generated.js';
import type { AnswerOf, Route } from '@north-leaf/contracts';
import type { OpenAPIObject } from '@nestjs/swagger';

type Answer<R extends Route> = AnswerOf<R> extends undefined ? void : AnswerOf<R>;
type Answering<R extends Route> = <M extends (...asked: never[]) => Promise<Answer<R>>>(
  controller: object,
  name: string | symbol,
  method: TypedPropertyDescriptor<M>,
) => void;

/** `@Answers('GET /kitchen')`: what this gives is what the contracts say of that route, or it is not compiled. */
export const Answers = <R extends Route>(route: R): Answering<R> => applyDecorators(ApiExtension('x-route', route)) as Answering<R>;

/** The API's description with its answers, as they were made from the contracts' types; every fault has one shape. */
export function withAnswers(document: OpenAPIObject): OpenAPIObject {
  const paths = Object.entries(document.paths).map(([path, item]) => {
    const operations = Object.entries(item as Record<string, Operation>).map(([method, operation]) => {
      const schema = described.routes[routeOf(method, path)];
      const responses = Object.fromEntries(
        Object.entries(operation.responses ?? {}).map(([status, response]) => [
          status,
          schema && status !== '204' ? { ...response, content: { 'application/json': { schema } } } : response,
        ]),
      );
      return [method, { ...operation, responses: { ...responses, default: fault } }];
    });
    return [path, Object.fromEntries(operations)];
  });
  return {
    ...document,
    paths: Object.fromEntries(paths) as OpenAPIObject['paths'],
    components: { ...document.components, schemas: { ...document.components?.schemas, ...(described.schemas as object) } },
  };
}

/** `put`, `/api/formulas/{id}/draft`: `PUT /formulas/:id/draft`. */
export const routeOf = (method: string, path: string): string =>
  `${method.toUpperCase()} ${path.replace(/^\/api/, '').replace(/\{(\w+)\}/g, ':$1')}`;

type Operation = { readonly responses?: Record<string, object> };
const fault = {
  description: 'What is wrong, and where',
  content: { 'application/json': { schema: { $ref: '#/components/schemas/ApiErrorBody' } } },
};
