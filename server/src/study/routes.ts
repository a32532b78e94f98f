import type { Router } from 'express';

import type { Scope } from '../db/records';
import { mount, mountWriting } from '../http/route';
import { createStudy, listStudies } from './store';

export function studyRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'listStudies', (call) => listStudies(call));
  mountWriting(router, scope, 'createStudy', (asked) => createStudy(asked, asked.body));
}
