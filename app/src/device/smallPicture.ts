/** How well a picture is kept where the browser can keep less than all of it. */
const QUALITY = 0.9;

/** A square picture, by an address that holds it, made so many pixels wide; what is clear in it stays clear. */
export async function smallPicture(address: string, px: number): Promise<string> {
  const image = new Image();
  image.src = address;
  await image.decode();
  const canvas = new OffscreenCanvas(px, px);
  const context = canvas.getContext('2d')!;
  context.imageSmoothingQuality = 'high';
  context.drawImage(image, 0, 0, px, px);
  // A browser that makes none of these makes a PNG.
  return addressOf(await canvas.convertToBlob({ type: 'image/webp', quality: QUALITY }));
}

/** A picture as an address that holds it. */
export function addressOf(picture: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.onerror = () => reject(new Error('the picture could not be read'));
    reader.readAsDataURL(picture);
  });
}
