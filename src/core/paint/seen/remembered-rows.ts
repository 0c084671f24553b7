import { SEEN_CHANNELS, type SeenRows } from './seen-window.ts';

/** Rows of light as they were painted once. */
export interface RowMemory {
  /** The same rows, each painted once for a name. */
  readonly remember: (name: string, rows: SeenRows) => SeenRows;
}

interface KeptRow {
  readonly from: number;
  readonly to: number;
  readonly light: Float32Array;
}

interface KeptRows {
  readonly rows: Map<number, KeptRow>;
  bytes: number;
}

/**
 * Remembers what parts of a drawing look like, so that where one of them changes the others are not painted again.
 * What was asked for longest ago goes first.
 * @param most  bytes that are kept
 */
export function rowMemory(most: number): RowMemory {
  const names = new Map<string, KeptRows>();
  let bytes = 0;
  /** Makes room for some more bytes. */
  const forgetOthers = (name: string, more: number) => {
    for (const [other, kept] of names) {
      if (bytes + more <= most) return;
      if (other === name) continue;
      names.delete(other);
      bytes -= kept.bytes;
    }
  };
  return {
    remember: (name, rows) => {
      const known = names.get(name) ?? { rows: new Map<number, KeptRow>(), bytes: 0 };
      // The newest is last.
      names.delete(name);
      names.set(name, known);
      return (row, from, to, out) => {
        const kept = known.rows.get(row);
        if (kept !== undefined && kept.from <= from && kept.to >= to) {
          const start = SEEN_CHANNELS * (from - kept.from);
          out.set(kept.light.subarray(start, start + SEEN_CHANNELS * (to - from)), SEEN_CHANNELS * from);
          return;
        }
        rows(row, from, to, out);
        if (kept !== undefined || names.get(name) !== known) return;
        const light = out.slice(SEEN_CHANNELS * from, SEEN_CHANNELS * to);
        forgetOthers(name, light.byteLength);
        // One that is too large by itself is not kept whole.
        if (bytes + light.byteLength > most) return;
        known.rows.set(row, { from, to, light });
        known.bytes += light.byteLength;
        bytes += light.byteLength;
      };
    },
  };
}
