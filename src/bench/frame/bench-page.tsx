import { openedOnPage } from '../../kit/opened-on-page.ts';
import type { OpenedDesign } from '../state/bench-state.ts';
import { Bench } from './bench.tsx';

const opened = openedOnPage<OpenedDesign>();

/** The bench with the design that the page is about. */
export function BenchPage() {
  return opened && <Bench opened={opened} />;
}
