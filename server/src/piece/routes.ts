import type { Router } from 'express';

import { removeOwned, type Scope } from '../db/records';
import { chains, pieces } from '../db/tables';
import { mount } from '../http/route';
import { changePiece, createChain, createPiece, listChains, listPieces } from './store';

export function pieceRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'listPieces', (call) => listPieces(call));
  mount(router, scope, 'createPiece', (call) => createPiece(call, call.body));
  mount(router, scope, 'changePiece', (call) => changePiece(call, call.id, call.body));
  mount(router, scope, 'deletePiece', (call) => removeOwned(call, pieces, call.id));
  mount(router, scope, 'listChains', (call) => listChains(call));
  mount(router, scope, 'createChain', (call) => createChain(call, call.body));
  mount(router, scope, 'deleteChain', (call) => removeOwned(call, chains, call.id));
}
