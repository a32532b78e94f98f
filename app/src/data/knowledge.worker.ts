import { answerWith } from '@/device/answer';
import { learn, type KnowledgeQuestion, type Lesson } from '@/views/knowledge';

/** Works out what a large shelf teaches, off the page's own thread. */
answerWith<KnowledgeQuestion, Lesson>({ work: learn });
