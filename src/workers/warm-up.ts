import type { Design } from '../core/design/design-schema.ts';
import { openedOnPage } from '../kit/opened-on-page.ts';
import { openFirst } from './first-worker.ts';

// The worker compiles the design that the page is about while the page makes itself, so that its cloth comes sooner.
const opened = openedOnPage<{ readonly document: Design }>();
if (opened !== undefined) {
  // Whoever asks it next hears what is wrong.
  openFirst()
    .api.measure(opened.document)
    .catch(() => {});
}
