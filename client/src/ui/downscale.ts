/** Longest side of a picture as it is kept: enough to measure a carapace beside a ruler. */
const longestPx = 2000;
const quality = 0.86;

/** A picture small enough for the radio; as it is where the browser cannot read it, for the server may. */
export async function downscale(file: Blob): Promise<Blob> {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
    // eslint-disable-next-line no-restricted-syntax -- the server says what is wrong with a picture that is none
  } catch {
    return file;
  }
  const scale = Math.min(1, longestPx / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(bitmap.width * scale);
  canvas.height = Math.round(bitmap.height * scale);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  const smaller = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', quality));
  return smaller !== null && (scale < 1 || smaller.size < file.size) ? smaller : file;
}
