import type { Router } from 'express';

import { removeOwned, type Scope } from '../db/records';
import { studies, studyWidths } from '../db/tables';
import { mount } from '../http/route';
import { createStudy, createStudyWidth, listStudies } from './store';

export function studyRoutes(router: Router, scope: Scope): void {
  mount(router, scope, 'listStudies', (call) => listStudies(call));
  mount(router, scope, 'createStudy', (call) => createStudy(call, call.body));
  mount(router, scope, 'deleteStudy', (call) => removeOwned(call, studies, call.id));
  mount(router, scope, 'createStudyWidth', (call) => createStudyWidth(call, call.body));
  mount(router, scope, 'deleteStudyWidth', (call) => removeOwned(call, studyWidths, call.id));
}
