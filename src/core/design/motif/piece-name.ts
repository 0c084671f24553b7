import type { Piece } from './motif-schema.ts';

/** What a piece is called in a sentence. */
export function nameOf({ name, id }: Pick<Piece, 'name' | 'id'>): string {
  return name === '' ? `Piece ${id}` : `“${name}”`;
}
