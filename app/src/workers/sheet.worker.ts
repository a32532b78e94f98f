import { drawSheets, type PdfOptions } from '../features/sheet/pdf';

/** Draws target sheets off the page's own thread. */
self.onmessage = async ({ data }: MessageEvent<PdfOptions>) => {
  try {
    const bytes = await drawSheets(data);
    (self as unknown as Worker).postMessage({ bytes }, [bytes.buffer as ArrayBuffer]);
  } catch (error) {
    (self as unknown as Worker).postMessage({ failed: String(error) });
  }
};
