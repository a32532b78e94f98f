import { eq, inArray, or } from 'drizzle-orm';
import type { Router } from 'express';

import { changeOwned, removeOwned, type Scope } from '../db/records';
import { eyeChecks, models } from '../db/tables';
import { withoutStudio } from '../db/shape';
import { mount } from '../http/route';
import { keepPrivate } from '../person/store';
import { createModel, listModels, readModel } from './store';

export function modelRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'listModels', (call) => listModels(call));
  mount(router, scope, 'readModel', (call) => readModel(call, call.id));
  mount(router, scope, 'createModel', (call) => createModel(call, call.body));
  mount(router, scope, 'changeModel', async (call) =>
    withoutStudio(await changeOwned(call, models, call.id, call.body)),
  );
  mount(router, scope, 'deleteModel', async (call) => {
    await keepPrivate(call, call.viewer, inArray(eyeChecks.modelId, goingWith(call)));
    await removeOwned(call, models, call.id);
  });
}

/** The ids that go when a model does: its own, and the pairs that it is part of. */
function goingWith({ database, id }: Scope & { id: string }) {
  const { id: own, outerId, innerId } = models;
  return database
    .select({ id: own })
    .from(models)
    .where(or(eq(own, id), eq(outerId, id), eq(innerId, id)));
}
