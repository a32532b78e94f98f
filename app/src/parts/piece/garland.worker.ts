import { answerWith } from '@/device/answer';

import { garlandAnswer, type GarlandQuestion } from './garlandAnswer';

/** Answers what is asked of garlands off the page's own thread. */
answerWith<GarlandQuestion, ReturnType<typeof garlandAnswer>>({ work: garlandAnswer });
