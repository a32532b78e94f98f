import { dxfFile } from './dxfFile';
import type { TemplateQuestion } from './makeFile';
import { pdfFile } from './pdfFile';
import { svgFile } from './svgFile';
import { answerWith } from '@/device/answer';

/** Writes the files of a cutting template off the page's own thread. */
answerWith<TemplateQuestion, (string | Uint8Array)[]>({
  async work({ format, sheets, title, paper }) {
    if (format === 'svg') return sheets.map((sheet) => svgFile(sheet, title));
    if (format === 'dxf') return [dxfFile(sheets)];
    return [await pdfFile({ sheets, title, paper })];
  },
});
