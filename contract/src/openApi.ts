import { z } from 'zod';

import { everythingSchema } from './everything';
import { changesSchema } from './feed';
import { CHANGES, MAKES, NOUN_NAMES, NOUNS, type NounName } from './nouns';
import { problemSchema } from './problem';
import { CHANGES_PATH, EVERYTHING_PATH, type Route } from './route';
import { ROUTES } from './routes';

type Json = Record<string, unknown>;

const schemaOf = (schema: z.ZodType, io: 'input' | 'output'): Json => {
  const { $schema: _, ...rest } = z.toJSONSchema(schema, { io });
  return rest;
};
const json = (schema: Json, type = 'application/json') => ({ content: { [type]: { schema } } });
const refer = (name: string) => ({ $ref: `#/components/schemas/${name}` });
const REFUSED = {
  description: 'Refused, with the fields to blame',
  ...json(refer('problem'), 'application/problem+json'),
};
const ID = { name: 'id', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } };

/** The service as an OpenAPI document (OpenAPI Specification 3.1), made from the nouns and the table of routes. */
export function openApi(): Json {
  const paths: Record<string, Json> = {};
  const at = (path: string) =>
    (paths[path.replace(':id', '{id}')] ??= path.includes(':id') ? { parameters: [ID] } : {});
  for (const [operationId, route] of Object.entries(ROUTES) as [string, Route][]) {
    const { method, path, request, response } = route;
    at(path)[method.toLowerCase()] = operation(
      operationId,
      request && schemaOf(request, 'input'),
      response && schemaOf(response, 'output'),
    );
  }
  for (const name of NOUN_NAMES) Object.assign(at(`/api/${NOUNS[name].path}/:id`), rowOperations(name));
  at(CHANGES_PATH)['get'] = {
    ...operation('readChanges', undefined, schemaOf(changesSchema, 'output')),
    parameters: ['since', 'nouns'].map((name) => ({ name, in: 'query', schema: { type: 'string' } })),
  };
  at(EVERYTHING_PATH)['get'] = operation('readEverything', undefined, schemaOf(everythingSchema, 'output'));
  const rows = Object.fromEntries(NOUN_NAMES.map((name) => [name, schemaOf(NOUNS[name].row, 'output')]));
  return {
    openapi: '3.1.0',
    info: { title: 'Leggero', version: '1' },
    paths,
    components: { schemas: { ...rows, problem: schemaOf(problemSchema, 'output') } },
  };
}

/** What can be done with a row of a noun; a row that was seen once is not changed. */
function rowOperations(name: NounName): Json {
  return {
    put: operation(`put ${name}`, schemaOf(MAKES[name], 'input'), refer(name)),
    ...(NOUNS[name].change.length > 0
      ? { patch: operation(`change ${name}`, schemaOf(CHANGES[name], 'input'), refer(name)) }
      : {}),
    delete: operation(`remove ${name}`),
  };
}

function operation(operationId: string, request?: Json, response?: Json): Json {
  return {
    operationId,
    ...(request ? { requestBody: { required: true, ...json(request) } } : {}),
    responses: {
      ...(response ? { 200: { description: 'As it is stored', ...json(response) } } : { 204: { description: 'Done' } }),
      '4XX': REFUSED,
    },
  };
}
