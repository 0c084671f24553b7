import { type OpenedShelf, openedSchema } from '../../contracts/backups.ts';
import { upload } from './upload.ts';

/** Sends an archive, and opens it beside the shelf. @throws RequestError */
export async function bringArchive(bytes: Blob): Promise<OpenedShelf> {
  const { signal } = new AbortController();
  const answer = await upload({ path: '/api/archive', bytes, onSent: () => {}, signal });
  return openedSchema.parse(JSON.parse(new TextDecoder().decode(answer.bytes)));
}
