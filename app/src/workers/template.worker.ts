import { dxfFile } from '../features/make/dxfFile';
import type { TemplateQuestion } from '../features/make/makeFile';
import { pdfFile } from '../features/make/pdfFile';
import { svgFile } from '../features/make/svgFile';

/** Writes the files of a cutting template off the page's own thread. */
self.onmessage = async ({ data }: MessageEvent<TemplateQuestion>) => {
  const post = (self as unknown as Worker).postMessage.bind(self);
  try {
    const { format, sheets, title, paper } = data;
    if (format === 'svg') post({ files: sheets.map((sheet) => svgFile(sheet, title)) });
    else if (format === 'dxf') post({ files: [dxfFile(sheets)] });
    else post({ files: [await pdfFile({ sheets, title, paper })] });
  } catch (error) {
    post({ failed: String(error) });
  }
};
