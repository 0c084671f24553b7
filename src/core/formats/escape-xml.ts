/** Text as it stands between the tags of XML. */
export function escapeXml(text: string): string {
  return text.replace(/[&<>]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;' })[sign]!);
}
