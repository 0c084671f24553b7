/**
 * CRC-32 as PNG chunks carry it. Source: W3C Portable Network Graphics, third edition, annex D.
 */
export function crc32(bytes: Uint8Array): number {
  let crc = 0xffffffff;
  for (let at = 0; at < bytes.length; at += 1) crc = TABLE[(crc ^ bytes[at]!) & 255]! ^ (crc >>> 8);
  return ~crc >>> 0;
}

const TABLE = Uint32Array.from({ length: 256 }, (_, byte) => {
  let crc = byte;
  for (let bit = 0; bit < 8; bit += 1) crc = crc & 1 ? 0xedb88320 ^ (crc >>> 1) : crc >>> 1;
  return crc >>> 0;
});
