import { lazy } from 'react';

import NotFound from './+not-found';

/** The page of the kit is for developers: what ships has nothing at its address. */
export default __DEV__ ? lazy(async () => ({ default: (await import('@/features/kit/KitPage')).KitPage })) : NotFound;
