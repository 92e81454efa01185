import { InputError } from '@/core/rig/read';

/** The largest picture that is decoded, pixels: twice what a good camera takes; decoded, it fills 400 MB. */
export const MOST_PIXELS = 100e6;
/** The largest file of one, bytes. */
const LARGEST_PICTURE = 40 * 2 ** 20;

/**
 * Reads from a picture's first bytes how large it is, before any of it is decoded.
 *
 * @throws InputError where it is no picture, or too large
 */
export async function checkedPicture(file: Blob, name: string): Promise<void> {
  if (file.size > LARGEST_PICTURE) throw new InputError(name, 'a picture of at most 40 MB');
  const { imageSize } = await import('image-size');
  let size: { width: number; height: number };
  try {
    size = imageSize(new Uint8Array(await file.arrayBuffer()));
  } catch {
    throw new InputError(name, 'a file that can be read as a picture');
  }
  const pixels = size.width * size.height;
  if (!(pixels <= MOST_PIXELS))
    throw new InputError(
      name,
      `a picture of at most ${MOST_PIXELS / 1e6} megapixels (this one has ${Math.round(pixels / 1e6)})`,
    );
}
