import { eq, or } from 'drizzle-orm';

import { eyeChecks } from '../db/tables';
import { forgetInDeeds } from '../deed/forget';
import { HttpProblem } from '../http/problem';
import { allowOnly, keepPrivate } from '../person/private';
import type { Guard } from '../records/guard';

/** A studio keeps its owner; someone goes with the sessions by eye they took part in. */
export const person: Guard<'person'> = {
  async remove(asked, { id, owner, hasPin }) {
    const { viewer } = asked;
    if (owner) throw HttpProblem.conflict('A studio keeps its owner.');
    if (hasPin) await allowOnly(asked, viewer, [id]);
    await keepPrivate(asked, viewer, or(eq(eyeChecks.personId, id), eq(eyeChecks.secondPersonId, id)), [id]);
    // Someone who goes is not kept in what was done: it does not come back.
    await forgetInDeeds(asked, id);
  },
};
