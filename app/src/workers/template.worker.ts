import { dxfFile } from '../features/make/dxfFile';
import type { TemplateQuestion } from '../features/make/makeFile';
import { pdfFile } from '../features/make/pdfFile';
import { svgFile } from '../features/make/svgFile';
import { answerWith } from './answer';

/** Writes the files of a cutting template off the page's own thread. */
answerWith<TemplateQuestion, (string | Uint8Array)[]>({
  async work({ format, sheets, title, paper }) {
    if (format === 'svg') return sheets.map((sheet) => svgFile(sheet, title));
    if (format === 'dxf') return [dxfFile(sheets)];
    return [await pdfFile({ sheets, title, paper })];
  },
});
