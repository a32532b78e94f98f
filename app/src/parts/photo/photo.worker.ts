import { MOST_PICTURE } from '@leggero/contract';

import { answerWith } from '@/device/answer';

/** What the worker is sent: a file as it was chosen. */
export interface PhotoQuestion {
  file: Blob;
}

/** The longer edge of a picture, px, the largest first, and how well a JPEG keeps it. */
const EDGES = [960, 720, 540, 400, 280];
const QUALITIES = [0.75, 0.55];
const HEAD = 'data:image/jpeg;base64,';

/** The file as a small JPEG, upright, as large as is kept; rejects what is no picture. */
async function made({ file }: PhotoQuestion): Promise<string> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const longer = Math.max(picture.width, picture.height);
  for (const edge of EDGES) {
    const scale = Math.min(1, edge / longer);
    const canvas = new OffscreenCanvas(
      Math.max(1, Math.round(picture.width * scale)),
      Math.max(1, Math.round(picture.height * scale)),
    );
    const context = canvas.getContext('2d')!;
    context.imageSmoothingQuality = 'high';
    // What is clear in a picture would be black in a JPEG.
    context.fillStyle = '#ffffff';
    context.fillRect(0, 0, canvas.width, canvas.height);
    context.drawImage(picture, 0, 0, canvas.width, canvas.height);
    for (const quality of QUALITIES) {
      const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
      const address = HEAD + base64(new Uint8Array(await blob.arrayBuffer()));
      if (address.length <= MOST_PICTURE) return address;
    }
  }
  throw new Error('it stays too large');
}

/** Bytes as text, some at a time: an argument list has an end. */
function base64(bytes: Uint8Array): string {
  let text = '';
  for (let from = 0; from < bytes.length; from += 8192)
    text += String.fromCharCode(...bytes.subarray(from, from + 8192));
  return btoa(text);
}

answerWith<PhotoQuestion, string>({ work: made });
