import type { PaperName, TemplateSheet } from '@leggero/core/template';

import { ask } from '@/device/ask';

export const FORMATS = ['pdf', 'svg', 'dxf'] as const;
export type Format = (typeof FORMATS)[number];

/** What the worker is asked for. */
export interface TemplateQuestion {
  format: Format;
  sheets: readonly TemplateSheet[];
  title: string;
  paper: PaperName;
}

export const FORMAT_TYPES: Record<Format, string> = {
  pdf: 'application/pdf',
  svg: 'image/svg+xml',
  dxf: 'image/vnd.dxf',
};

/** Writes the files of a template in a worker: SVG has one for each sheet, the others hold all. */
export function makeFiles(question: TemplateQuestion): Promise<BlobPart[]> {
  const worker = new Worker(new URL('./template.worker', window.location.href));
  return ask<TemplateQuestion, BlobPart[]>(worker, { question });
}
