import { isWidthKind } from '@leggero/core';
import { eq, inArray, or } from 'drizzle-orm';

import { eyeChecks, models } from '../db/tables';
import { HttpProblem } from '../http/problem';
import { keepPrivate } from '../person/private';
import type { Asked, Guard } from '../records/guard';
import { readRow } from '../records/store';

/**
 * A pair is of two balloons that are there, filled to a width, single, and of which the inner goes in. A balloon does not
 * take someone's private checks along.
 */
export const model: Guard<'model'> = {
  async make(asked, { outerId, innerId }) {
    if (outerId !== null && innerId !== null) await refuseImpossiblePair(asked, outerId, innerId);
  },
  async remove(asked, { id }) {
    const goingWith = asked.database
      .select({ id: models.id })
      .from(models)
      .where(or(eq(models.id, id), eq(models.outerId, id), eq(models.innerId, id)));
    await keepPrivate(asked, asked.viewer, inArray(eyeChecks.modelId, goingWith));
  },
};

async function refuseImpossiblePair(asked: Asked, outerId: string, innerId: string): Promise<void> {
  const refuse = (path: string, message: string) => HttpProblem.unusable({ path, message });
  const [outer, inner] = [await readRow(asked, 'model', outerId), await readRow(asked, 'model', innerId)];
  for (const [path, part] of Object.entries({ outerId: outer, innerId: inner })) {
    if (part.outerId !== null || !isWidthKind(part.kind))
      throw refuse(path, 'Not a single balloon that is filled to a width');
  }
  if (inner.nominalMm > outer.nominalMm) throw refuse('innerId', 'The inner is larger than its outer');
}
