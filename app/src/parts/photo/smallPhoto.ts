import { ask } from '@/device/ask';

import type { PhotoQuestion } from './photo.worker';

/** Why a file is not kept as a photo. */
export type PhotoProblem = 'too-large' | 'no-picture';

/** A camera's own files are smaller; what is larger may not fit into a phone's memory once it is unpacked, bytes. */
export const LARGEST_PHOTO = 40_000_000;

const openPhotoWorker = () => new Worker(new URL('./photo.worker', window.location.href));

/** A file made small off the page's own thread, as an address that holds it; or why that cannot be. */
export async function smallPhoto(
  file: Blob,
  openWorker: () => Worker = openPhotoWorker,
): Promise<{ picture: string } | { problem: PhotoProblem }> {
  if (file.size > LARGEST_PHOTO) return { problem: 'too-large' };
  try {
    return { picture: await ask<PhotoQuestion, string>(openWorker(), { question: { file } }) };
  } catch {
    return { problem: 'no-picture' };
  }
}
