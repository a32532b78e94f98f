import { answerWith } from '@/device/answer';

import { effectsOf, type Effect, type TrialQuestion } from './trial';

/** Works out what other numbers would move, off the page's own thread. */
answerWith<TrialQuestion, Effect[]>({ work: effectsOf });
