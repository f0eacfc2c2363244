import { api, take } from '../../api/client';
import { downscale } from '../../ui/downscale';

/** A picture as an address that can be shown at once, small enough to be sent. */
export async function addressOf(file: File): Promise<string> {
  const smaller = await downscale(file);
  return new Promise((done, fail) => {
    const reader = new FileReader();
    reader.addEventListener('load', () => done(typeof reader.result === 'string' ? reader.result : ''));
    reader.addEventListener('error', () => fail(new Error('The picture could not be read.')));
    reader.readAsDataURL(smaller);
  });
}

/** The bytes behind such an address. */
export const bytesOf = (address: string): Blob => {
  const [head = '', data = ''] = address.split(',');
  const type = /^data:([^;]*)/.exec(head)?.[1] ?? '';
  return new Blob([Uint8Array.from(atob(data), (c) => c.charCodeAt(0))], { type });
};

/** Counts the bodies in a picture. */
export const countIn = (address: string) => {
  const picture = bytesOf(address);
  return take(
    api.POST('/api/calc/picture-count', {
      headers: { 'Content-Type': picture.type },
      // The generated type knows bytes as a text.
      body: picture as unknown as string,
      bodySerializer: (body: unknown) => body as Blob,
    }),
  );
};
