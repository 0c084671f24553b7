import { download } from '../../kit/download.ts';
import { RequestError, refusal } from '../../kit/request.ts';

/**
 * Fetches a file and hands it to the browser's downloads.
 * @param told  hears how many bytes have come
 * @throws RequestError
 */
export async function takeFile(address: string, name: string, told: (bytes: number) => void): Promise<void> {
  const response = await fetch(address).catch(() => {
    throw new RequestError(0, 'request/offline', 'Vetro’s server does not answer. Is it still running?');
  });
  if (!response.ok || response.body === null) {
    throw refusal(response.status, await response.json().catch(() => null));
  }
  const pieces: Uint8Array<ArrayBuffer>[] = [];
  let bytes = 0;
  const reader = response.body.getReader();
  const read = () =>
    reader.read().catch(() => {
      throw new RequestError(
        0,
        'request/broken-off',
        'The file broke off before it was whole. Send it again.',
      );
    });
  for (let next = await read(); !next.done; next = await read()) {
    pieces.push(next.value);
    bytes += next.value.length;
    told(bytes);
  }
  download(name, new Blob(pieces, { type: response.headers.get('content-type') ?? '' }));
}
