import { answerWith } from '@/device/answer';

import { packed, type PackAnswer, type PackQuestion } from './packing';

/** Packs a garland, off the page's own thread. */
answerWith<PackQuestion, PackAnswer>({ work: packed });
