import { idSchema, ROUTES, type ParsedRequestOf, type ResponseOf, type Route, type RouteName } from '@leggero/contract';
import type { Router } from 'express';

import { untilUncrossed } from '../db/again';
import type { Scope } from '../db/records';
import type { Viewer } from '../person/sessions';
import { HttpProblem } from './problem';

interface Call<Name extends RouteName> extends Scope {
  /** The id of the path; '' where the path has none. */
  id: string;
  body: ParsedRequestOf<Name>;
  /** Who asks, as the device's session has it. */
  viewer: Viewer;
}

type Answer<Name extends RouteName> =
  | ResponseOf<Name>
  /** The outcome of a create. */
  | { row: ResponseOf<Name>; created: boolean };

/** Mounts a route of the contract: parses, calls `handle` in the studio's scope, answers. */
export function mount<Name extends RouteName>(
  router: Router,
  scope: Scope,
  name: Name,
  handle: (call: Call<Name>) => Promise<[ResponseOf<Name>] extends [never] ? void : Answer<Name>>,
): void {
  const route: Route = ROUTES[name];
  const method = route.method.toLowerCase() as 'get' | 'post' | 'patch' | 'delete';
  router[method](route.path, async (request, response) => {
    const id = parseId(request.params['id']);
    const parsed = route.request?.safeParse(request.body);
    if (parsed && !parsed.success) throw HttpProblem.invalid(parsed.error);
    const viewer = response.locals['viewer'] as Viewer;
    const body = parsed?.data as Call<Name>['body'];
    const answer: unknown = await untilUncrossed(() => handle({ ...scope, id, body, viewer }));
    if (answer === undefined) return void response.status(204).end();
    if (isCreation(answer)) return void response.status(answer.created ? 201 : 200).json(answer.row);
    response.json(answer);
  });
}

/** An id that is no UUID belongs to nothing. */
function parseId(id: unknown): string {
  if (id === undefined) return '';
  const parsed = idSchema.safeParse(id);
  if (!parsed.success) throw HttpProblem.notFound();
  return parsed.data;
}

function isCreation(answer: unknown): answer is { row: unknown; created: boolean } {
  return typeof answer === 'object' && answer !== null && 'created' in answer && 'row' in answer;
}
