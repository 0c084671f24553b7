/** Levels of light, not yet whole, as one opaque pixel: the 32 bits as a signed number, which loops keep as a machine word. */
export function pack(red: number, green: number, blue: number, byteOf: Uint8Array): number {
  const r = byteOf[red | 0]!;
  const g = byteOf[green | 0]!;
  const b = byteOf[blue | 0]!;
  return LITTLE ? (0xff << 24) | (b << 16) | (g << 8) | r : (r << 24) | (g << 16) | (b << 8) | 0xff;
}

/** Whether this machine puts the first byte of a word lowest. */
const LITTLE = new Uint8Array(Uint32Array.of(1).buffer)[0] === 1;
