import { type KeptPicture, keptPicture } from '../../contracts/picture.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { CoreError } from '../../core/error.ts';
import type { PictureFile } from '../../core/shape/picture.ts';
import { RequestError, refusal } from '../request.ts';

/** Has the server keep a picture. @throws RequestError */
export async function keepPicture(bytes: Blob): Promise<KeptPicture> {
  const answer = await fetch('/api/pictures/kept', {
    method: 'POST',
    body: bytes,
    headers: { 'content-type': 'application/octet-stream' },
  }).catch(() => {
    throw new RequestError(0, 'request/offline', 'Vetro’s server does not answer. Is it still running?');
  });
  const body: unknown = await answer.json().catch(() => null);
  if (!answer.ok) throw refusal(answer.status, body);
  return keptPicture.parse(body);
}

/** The same of one that a document carries. @throws RequestError */
export function keepFile({ base64 }: PictureFile): Promise<KeptPicture> {
  return keepPicture(new Blob([Uint8Array.from(atob(base64), (sign) => sign.charCodeAt(0))]));
}

/**
 * A design whose pictures are kept, so that it need not carry them.
 * @throws RequestError; CoreError "picture/carried" {hash} for a file that is another than its name says
 */
export async function withPicturesKept<D extends Design>(design: D): Promise<D> {
  const files = Object.entries(design.pictures);
  if (files.length === 0) return design;
  for (const [name, file] of files) {
    const { hash } = await keepFile(file);
    if (hash !== name) throw new CoreError('picture/carried', { hash: name.slice(0, 12) });
  }
  return { ...design, pictures: {} };
}
