import type { PaperName, TemplateSheet } from '@leggero/core/template';

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
export async function makeFiles(question: TemplateQuestion): Promise<BlobPart[]> {
  const worker = new Worker(new URL('../../workers/template.worker', window.location.href));
  try {
    return await new Promise<BlobPart[]>((resolve, reject) => {
      worker.onmessage = ({ data }: MessageEvent<{ files: BlobPart[] } | { failed: string }>) =>
        'files' in data ? resolve(data.files) : reject(new Error(data.failed));
      worker.onerror = ({ message }) => reject(new Error(message));
      worker.postMessage(question);
    });
  } finally {
    worker.terminate();
  }
}
