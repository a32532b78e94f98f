import type { ShelfModel } from '@leggero/contract';

import type { ModelView } from '@/views/modelView';

/** A balloon of the comparison with what is known of it. */
export interface Compared {
  model: ShelfModel;
  view: ModelView;
}
