import { api, isLater } from './api.ts';
import { letWait } from './waitingFiles.ts';

/** The server takes no more in one picture, bytes. */
const MOST_BYTES = 15_000_000;
/** Longest side of a picture that was too large as it came, pixels: a thread or a crack is still plain on it. */
const MOST_SIDE = 4096;

/**
 * Stores a picture by its content. Out of reach, or where the server has no room now, it waits in this browser and goes
 * before the entry that speaks of it.
 * @returns the hash of what is stored
 * @throws ApiError, or Error with words where it is no picture
 */
export async function storePicture(file: Blob): Promise<{ readonly hash: string }> {
  const picture = file.size > MOST_BYTES ? await smaller(file) : file;
  try {
    return await api.upload('/pictures', picture);
  } catch (error) {
    if (!isLater(error)) throw error;
    (await bitmapOf(picture)).close();
    return letWait('/pictures', picture);
  }
}

const bitmapOf = (file: Blob): Promise<ImageBitmap> =>
  createImageBitmap(file).catch(() => {
    throw new Error('That is not a picture that can be read: expected JPEG, PNG or WebP.');
  });

async function smaller(file: Blob): Promise<Blob> {
  const bitmap = await bitmapOf(file);
  const scale = Math.min(1, MOST_SIDE / Math.max(bitmap.width, bitmap.height));
  const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale));
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.92 });
}
