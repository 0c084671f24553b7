/** Where the page keeps what it is about, as data. */
export const OPENED = 'opened';

/** What the page is about; undefined where there is nothing. @returns  what `dataForPage` was given */
export function openedOnPage<Opened>(): Opened | undefined {
  const text = document.getElementById(OPENED)?.textContent;
  return text ? (JSON.parse(text) as Opened) : undefined;
}

/** JSON that can stand in a page: nothing in it ends the script that it stands in. */
export function dataForPage(opened: unknown): string {
  return JSON.stringify(opened).replaceAll('<', '\\u003c');
}
