import { MAKES, writeSchema, type HoleLabel, type NounName, type Rows, type Write } from '@leggero/contract';

import { newId } from '@/device/id';
import { writesOfPeople } from '@/views/checks';
import { sizersOf, writesOfHoles } from '@/views/gauges';

import type { Entry } from '@/views/entries';

/** An entry of then: a route's name, with an id or a body. */
interface OldEntry {
  key: string;
  name: string;
  id?: string;
  body?: Record<string, unknown>;
}

/** What an older version kept waiting, as it kept it, as the entries of now. `rows` are what is known by now. */
export function carriedOver(text: string, rows: Rows): Entry[] {
  return waitingIn(text).flatMap(({ key, ...old }): Entry[] => {
    const writes = writesOf(old, rows).flatMap((write) => writeSchema.safeParse(write).data ?? []);
    return writes.length > 0 ? [{ key, writes, problem: null }] : [];
  });
}

function waitingIn(text: string): OldEntry[] {
  try {
    const { state } = JSON.parse(text) as { state?: { waiting?: OldEntry[] } };
    return state?.waiting ?? [];
  } catch {
    return [];
  }
}

/** An entry of then as the writes of now; none where nobody knows what it meant. */
function writesOf({ name, id, body = {} }: Omit<OldEntry, 'key'>, rows: Rows): unknown[] {
  switch (name) {
    case 'changeStudio': {
      const [studio] = rows.studio.keys();
      return [{ change: 'studio', id: studio, by: body }];
    }
    case 'acceptTarget':
      return [{ put: 'target', row: body }];
    case 'createSizer': {
      const { holes = [], ...row } = body as { id: string; holes?: HoleLabel[] };
      return [{ put: 'sizer', row }, ...writesOfHoles(row.id, { before: [], wanted: holes })];
    }
    case 'changeSizer': {
      const { holes, ...by } = body as { holes?: HoleLabel[] };
      const before = sizersOf(rows).find((sizer) => sizer.id === id)?.holes ?? [];
      const moved: Write[] = holes ? writesOfHoles(id!, { before, wanted: holes }) : [];
      return [...(Object.keys(by).length > 0 ? [{ change: 'sizer', id, by }] : []), ...moved];
    }
    case 'createHoldTest': {
      const { firstReadingId, firstWidthMm, ...row } = body;
      const first = { id: firstReadingId, holdTestId: row['id'], hours: 0, widthMm: firstWidthMm };
      return [
        { put: 'holdTest', row },
        { put: 'holdReading', row: first },
      ];
    }
    case 'createStudy': {
      const { people = [], ...row } = body as { id: string; people?: string[] };
      return [{ put: 'study', row }, ...writesOfPeople(row.id, people, newId)];
    }
    default: {
      const [, verb, what = ''] = /^(create|change|delete)(\w+)$/.exec(name) ?? [];
      const noun = `${what.charAt(0).toLowerCase()}${what.slice(1)}` as NounName;
      if (!(noun in MAKES)) return [];
      if (verb === 'create') return [{ put: noun, row: body }];
      return verb === 'change' ? [{ change: noun, id, by: body }] : [{ remove: noun, id }];
    }
  }
}
