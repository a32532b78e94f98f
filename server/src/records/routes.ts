import { CHANGES, EVERYTHING_PATH, MAKES, NOUN_NAMES, NOUNS, type NounName } from '@leggero/contract';
import { openApi } from '@leggero/contract/openApi';
import type { Response, Router } from 'express';
import type { z } from 'zod';

import { allow, scopeOf } from '../access/who';
import { download } from '../http/download';
import { answer, idOf, mountWriting, parsed, viewerOf } from '../http/route';
import { changeRow, makeRow, removeRow } from './commands';
import { everything } from './everything';
import type { Asked } from './guard';
import { inWriting } from './writing';

/** Creates as they are posted: to be put under their ids instead. */
const POSTED = {
  createTier: 'tier',
  createModel: 'model',
  createPump: 'pump',
  createHoleMeasurement: 'holeMeasurement',
  createSizing: 'sizing',
  createPerson: 'person',
  createEyeBalloon: 'eyeBalloon',
  createStudyWidth: 'studyWidth',
  createChain: 'chain',
  createReading: 'reading',
  createHoldReading: 'holdReading',
  acceptTarget: 'target',
  createCheckResult: 'checkResult',
  createRun: 'run',
} as const satisfies Record<string, NounName>;

/** The same three routes for every noun: a row is put under its id, changed, taken away. */
export function recordRoutes(router: Router): void {
  const write = (response: Response, work: (asked: Asked) => Promise<unknown>) =>
    answer(response, () => inWriting({ ...scopeOf(response), viewer: viewerOf(response) }, work));
  for (const name of NOUN_NAMES) {
    const make = MAKES[name] as z.ZodType<{ id: string }>;
    const change = CHANGES[name] as z.ZodType;
    const path = `/api/${NOUNS[name].path}/:id`;
    router.put(path, allow('helper'), async (request, response) => {
      const row = parsed(make, { ...(request.body as object), id: idOf(request) });
      await write(response, (asked) => makeRow(asked, name, row as never));
    });
    router.patch(path, allow('helper'), async (request, response) => {
      const [id, by] = [idOf(request), parsed(change, request.body)];
      await write(response, (asked) => changeRow(asked, name, id, by as never));
    });
    router.delete(path, allow('helper'), async (request, response) => {
      const id = idOf(request);
      await write(response, (asked) => removeRow(asked, name, id));
    });
  }
  for (const [route, name] of Object.entries(POSTED) as [keyof typeof POSTED, NounName][])
    mountWriting(router, route, (asked) => makeRow(asked, name, asked.body as never) as never);
  router.get(EVERYTHING_PATH, allow('owner'), (_, response) =>
    download(response, everything(scopeOf(response), new Date()), {
      name: 'leggero-everything.json',
      type: 'application/json',
    }),
  );
  let document: object | undefined;
  router.get('/api/openapi.json', allow('helper'), (_, response) => void response.json((document ??= openApi())));
}
