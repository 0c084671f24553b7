import { cleanText } from '../clean-text.ts';

/** Text as it stands between the tags of XML, without what XML cannot hold. Source: W3C XML 1.0, fifth edition, §2.2 and §2.4. */
export function escapeXml(text: string): string {
  return cleanText(text).replace(/[&<>]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;' })[sign]!);
}
