/** The hashes of the pictures that a document names, as text: wherever it names them, and more than once where it does. */
export function* picturesNamed(document: string): Iterable<string> {
  for (const [, hash] of document.matchAll(/"hash":\s*"([0-9a-f]{64})"/g)) yield hash!;
}
