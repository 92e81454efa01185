import { InputError } from '@/core/rig/read';
import { db, type PhotoRow } from './db';
import { problemOf } from './opening';
import { checkedPicture } from './pictures';

/** Longest side of a kept photo, px, and how hard it is squeezed: a crack still shows, a hundred of them still fit. */
const LONGEST = 1280;
const QUALITY = 0.8;

export const photosOf = (jobId: string, item: string): Promise<PhotoRow[]> =>
  db.photos.where({ jobId, item }).toArray();

/**
 * Keeps a photo, made smaller.
 *
 * @returns what went wrong, in a sentence; null when it is kept
 */
export async function keepPhoto(jobId: string, item: string, file: File): Promise<string | null> {
  if (!file.type.startsWith('image/')) return `“${file.name}” is not a picture.`;
  let image: Blob;
  try {
    await checkedPicture(file, `“${file.name}”`);
    image = await smaller(file);
  } catch (error) {
    if (error instanceof InputError) return `${error.path} was not kept: expected ${error.expected}.`;
    return `“${file.name}” cannot be read as a picture by this browser.`;
  }
  try {
    await db.photos.add({ jobId, item, at: new Date().toISOString(), image });
    return null;
  } catch (error) {
    return problemOf(error) === 'full'
      ? 'This browser’s storage is full: the photo was not kept. Remove some, or free space.'
      : 'This browser would not keep the photo.';
  }
}

async function smaller(file: Blob): Promise<Blob> {
  const bitmap = await createImageBitmap(file);
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale));
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  // Drawing it anew also drops whatever else the file carried: place, camera, script.
  return canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
}
