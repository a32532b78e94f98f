import { idSchema, type Route } from '@leggero/contract';
import { ROUTES, type ParsedRequestOf, type QueryOf, type ResponseOf, type RouteName } from '@leggero/contract/routes';
import type { Request, Response, Router } from 'express';
import type { z } from 'zod';

import { allow, scopeOf } from '../access/who';
import { untilUncrossed } from '../db/again';
import type { Scope } from '../db/records';
import type { Viewer } from '../person/openPages';
import type { Outcome } from '../records/commands';
import type { Asked } from '../records/guard';
import { inWriting } from '../records/writing';
import { problemOf } from './errors';
import { HttpProblem } from './problem';

interface Call<Name extends RouteName> extends Scope {
  /** The id of the path; '' where the path has none. */
  id: string;
  body: ParsedRequestOf<Name>;
  /** What its address asks. */
  query: QueryOf<Name>;
  /** Who asks, as the device's session has it. */
  viewer: Viewer;
  /** Leaves word of an error that is answered in parts. */
  log: (error: unknown) => void;
}

/** What a route answers, or the outcome of a create. */
type Answer<Name extends RouteName> = ResponseOf<Name> | Outcome<ResponseOf<Name>>;

type Handle<Name extends RouteName, C = Call<Name>> = (
  call: C,
) => Promise<[ResponseOf<Name>] extends [never] ? void : Answer<Name>>;

/** A request of whoever sent it. */
interface OpenCall<Name extends RouteName> {
  request: Request;
  response: Response;
  id: string;
  body: ParsedRequestOf<Name>;
}

/** Mounts a route of the contract that asks for no studio: what it may, it sees to itself. */
export function mountOpen<Name extends RouteName>(
  router: Router,
  name: Name,
  handle: Handle<Name, OpenCall<Name>>,
): void {
  const route: Route = ROUTES[name];
  const method = route.method.toLowerCase() as 'get' | 'post' | 'patch' | 'delete';
  router[method](route.path, allow(route.least), async (request, response) => {
    const id = idOf(request);
    const body = (route.request && parsed(route.request, request.body)) as OpenCall<Name>['body'];
    await answer(response, () => handle({ request, response, id, body }));
  });
}

/** Mounts a route of the contract: lets in who may, parses, calls `handle` in the studio's scope, answers. */
export function mount<Name extends RouteName>(router: Router, name: Name, handle: Handle<Name>): void {
  mountOpen(router, name, (({ request, response, id, body }: OpenCall<Name>) => {
    const log = (error: unknown) => request.log?.error({ err: error }, problemOf(error).message);
    const route: Route = ROUTES[name];
    const query = (route.query && parsed(route.query, request.query)) as QueryOf<Name>;
    return handle({ ...scopeOf(response), id, body, query, viewer: viewerOf(response), log });
  }) as Handle<Name, OpenCall<Name>>);
}

/** Mounts a route that writes: the same, in one transaction that notes what it touches. */
export function mountWriting<Name extends RouteName>(
  router: Router,
  name: Name,
  handle: Handle<Name, Call<Name> & Asked>,
): void {
  mount(router, name, (call) => inWriting(call, handle) as ReturnType<Handle<Name>>);
}

/** Does some work, again where it crossed another's, and answers with its outcome. */
export async function answer(response: Response, work: () => Promise<unknown>): Promise<void> {
  const outcome = await untilUncrossed(work);
  if (outcome === undefined) return void response.status(204).end();
  if (isCreation(outcome)) return void response.status(outcome.created ? 201 : 200).json(outcome.row);
  response.json(outcome);
}

/** Who asks, as the device's session has it. */
export function viewerOf({ locals }: Response): Viewer {
  return locals['viewer'] as Viewer;
}

/** A body as its schema has it; a problem with the fields to blame where it does not fit. */
export function parsed<T>(schema: z.ZodType<T>, body: unknown): T {
  const result = schema.safeParse(body);
  if (!result.success) throw HttpProblem.invalid(result.error);
  return result.data;
}

/** The id of a path, '' where it has none. An id that is no UUID belongs to nothing. */
export function idOf({ params }: Request): string {
  if (params['id'] === undefined) return '';
  const id = idSchema.safeParse(params['id']);
  if (!id.success) throw HttpProblem.notFound();
  return id.data;
}

function isCreation(outcome: unknown): outcome is Outcome<unknown> {
  return typeof outcome === 'object' && outcome !== null && 'created' in outcome && 'row' in outcome;
}
