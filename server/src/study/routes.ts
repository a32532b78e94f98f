import type { Router } from 'express';

import { mount, mountWriting } from '../http/route';
import { createStudy, listStudies } from './store';

export function studyRoutes(router: Router): void {
  mount(router, 'listStudies', (call) => listStudies(call));
  mountWriting(router, 'createStudy', (asked) => createStudy(asked, asked.body));
}
