/** What Windows-1252 has at 0x80 … 0x9f; where it has nothing, the control character. Source: WHATWG Encoding Standard, index windows-1252. */
const HIGH = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ';

/** Text of a file: UTF-8, or Windows-1252 where it is not that. */
export function decodeText(bytes: ArrayBuffer | Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    const text = new TextDecoder('windows-1252').decode(bytes);
    // Node 20 reads Latin-1 under that name: these 32 places differ.
    return text.replace(/[\u0080-\u009f]/g, (control) => HIGH[control.charCodeAt(0) - 0x80]!);
  }
}
