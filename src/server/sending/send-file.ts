import { Readable } from 'node:stream';
import { fileNameOf } from '../../core/formats/file-name.ts';
import { type FileWish, makeFile } from './make-file.ts';
import { sizeText } from './query-wishes.ts';

/**
 * A file as an answer. Query: `save` to download it; the rest as `makeFile`.
 * @throws CoreError as `makeFile`
 */
export function sendFile(wish: FileWish): Response {
  const { type, pieces } = makeFile(wish);
  const headers = new Headers({ 'content-type': type });
  if (wish.query.has('save')) headers.set('content-disposition', disposition(nameOf(wish)));
  const bytes = Readable.from(pieces, { objectMode: true }).map((piece: Uint8Array | string) =>
    typeof piece === 'string' ? Buffer.from(piece) : piece,
  );
  return new Response(Readable.toWeb(bytes) as ReadableStream<Uint8Array>, { headers });
}

/** The name under which a file is saved. */
export function nameOf({ design, file, query }: Pick<FileWish, 'design' | 'file' | 'query'>): string {
  const title = query.get('title');
  const { name, number } = title === null ? design : { name: title, number: '' };
  return fileNameOf({
    name,
    number,
    file,
    colourway: query.get('colourway') ?? '',
    size: sizeText(query),
    shrink: query.get('shrink') ?? '',
  });
}

/** A download's name, for old and new readers. Source: RFC 6266, §4.3. */
export function disposition(name: string): string {
  const plain = name.replace(/[^\w .-]/g, '_');
  return `attachment; filename="${plain}"; filename*=UTF-8''${encodeURIComponent(name)}`;
}
