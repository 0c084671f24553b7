import type { Page } from '@playwright/test';

/** What no text and no attribute of a page holds: a value that somebody forgot to make words of. */
const NO_WORDS = String.raw`\[object|\bNaN\b|\bundefined\b|\bInfinity\b`;

/** Texts and attributes that hold no words, and drawings without content. */
export function faultsOf(page: Page): Promise<readonly string[]> {
  return page.evaluate((pattern) => {
    const noWords = new RegExp(pattern);
    const told: string[] = [];
    const nameOf = (element: Element) => element.outerHTML.slice(0, 140);
    const isSeen = (element: Element) => {
      const { width, height } = element.getBoundingClientRect();
      return width > 0 && height > 0;
    };
    // What is laid over something else may have nothing to show, such as repeats beside one that fills the view.
    const mayBeEmpty = (element: Element) => element.closest('[data-overlay]') !== null;
    for (const element of document.body.querySelectorAll('*')) {
      if (element.matches('script, style')) continue;
      const own = [...element.childNodes].filter(({ nodeType }) => nodeType === Node.TEXT_NODE);
      const texts = [
        ...own.map(({ textContent }) => textContent ?? ''),
        ...[...element.attributes].map(({ value }) => value),
        element instanceof HTMLInputElement || element instanceof HTMLTextAreaElement ? element.value : '',
      ];
      for (const text of texts) if (noWords.test(text)) told.push(`${nameOf(element)}: ${text.slice(0, 80)}`);
    }
    const figures =
      'path[d], rect, circle, ellipse, line, polyline, polygon, text, image, use, foreignObject';
    for (const drawing of document.body.querySelectorAll('svg')) {
      if (isSeen(drawing) && !mayBeEmpty(drawing) && drawing.querySelector(figures) === null)
        told.push(`empty: ${nameOf(drawing)}`);
    }
    for (const canvas of document.body.querySelectorAll('canvas')) {
      if (!isSeen(canvas) || mayBeEmpty(canvas) || canvas.width === 0 || canvas.height === 0) continue;
      const pixels = canvas.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height).data ?? [];
      if (!pixels.some((level) => level !== 0)) told.push(`empty: ${nameOf(canvas)}`);
    }
    for (const image of document.images) {
      if (isSeen(image) && image.complete && image.naturalWidth === 0) told.push(`empty: ${nameOf(image)}`);
    }
    return told;
  }, NO_WORDS);
}
