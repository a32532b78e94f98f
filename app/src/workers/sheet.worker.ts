import { drawSheets, type PdfOptions } from '../features/sheet/pdf';
import { answerWith } from './answer';

/** Draws target sheets off the page's own thread. */
answerWith<PdfOptions, Uint8Array>({ work: drawSheets, handOver: ({ buffer }) => [buffer as ArrayBuffer] });
