/** What is kept by name, bounded in bytes. */
export interface KeptRows<Key, Row extends { readonly byteLength: number }> {
  readonly get: (key: Key) => Row | undefined;
  readonly keep: (key: Key, row: Row) => Row;
}

/**
 * Keeps rows by their names up to so many bytes; beyond that those that were asked for longest ago go, but never the
 * last one. Neighbouring rows of a picture ask for the same rows, so that few have to be made twice.
 */
export function keptRows<Key, Row extends { readonly byteLength: number }>(most: number): KeptRows<Key, Row> {
  const rows = new Map<Key, Row>();
  let bytes = 0;
  return {
    get: (key) => {
      const row = rows.get(key);
      if (row === undefined) return undefined;
      // A map keeps its keys in the order in which they came: this one is the newest again.
      rows.delete(key);
      rows.set(key, row);
      return row;
    },
    keep: (key, row) => {
      rows.set(key, row);
      bytes += row.byteLength;
      for (const [oldest, { byteLength }] of rows) {
        if (bytes <= most || rows.size === 1) break;
        rows.delete(oldest);
        bytes -= byteLength;
      }
      return row;
    },
  };
}
