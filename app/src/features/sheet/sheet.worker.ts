import { drawSheets, type PdfOptions } from './pdf';
import { answerWith } from '@/device/answer';

/** Draws target sheets off the page's own thread. */
answerWith<PdfOptions, Uint8Array>({ work: drawSheets, handOver: ({ buffer }) => [buffer as ArrayBuffer] });
