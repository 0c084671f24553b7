import type { Document } from './pdf-lib.ts';

/** Writes into a document's metadata what it is called, a number beside that, and when it was made. */
export function nameDocument(
  document: Document,
  { title, number = '', at }: { readonly title: string; readonly number?: string; readonly at: Date },
): void {
  document.setTitle(title, { showInWindowTitleBar: true });
  if (number !== '') document.setSubject(number);
  document.setCreator('Vetro');
  document.setProducer('Vetro');
  document.setCreationDate(at);
  document.setModificationDate(at);
}
