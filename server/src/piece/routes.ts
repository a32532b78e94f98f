import type { Router } from 'express';

import { mount, mountWriting } from '../http/route';
import { changeRow, makeRow } from '../records/commands';
import { listRows } from '../records/store';
import { listPieces, withChecks } from './store';

export function pieceRoutes(router: Router): void {
  mount(router, 'listPieces', (call) => listPieces(call));
  mountWriting(router, 'createPiece', async (asked) => {
    const { row, created } = await makeRow(asked, 'piece', asked.body);
    return { row: await withChecks(asked, row), created };
  });
  mountWriting(router, 'changePiece', async (asked) =>
    withChecks(asked, await changeRow(asked, 'piece', asked.id, asked.body)),
  );
  mount(router, 'listChains', (call) => listRows(call, 'chain'));
}
