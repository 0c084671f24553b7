import { CoreError } from '../error.ts';
import type { Kind, ThreadFacts } from './construction.ts';
import { kindFor } from './constructions.ts';
import type { Design, PlaidDesign } from './design-schema.ts';
import { laidPlaid } from './plaid/laid-plaid.ts';

/** What kind of cloth a design is, for the shelf: a stripe has one shade in one direction, a weave in both. */
export function kindOf({ construction }: Design): Kind {
  return kindFor(construction).kindOf(construction);
}

/** Whether a design's repeat is counted in threads; else it is only measured, as threads on a slope are. */
export function inThreads({ construction, lay }: Design): boolean {
  return kindFor(construction).density === 'repeat' && !isSloped(lay);
}

/** Whether a lay turns what lies in it. */
export function isSloped({ slope }: Design['lay']): boolean {
  return slope !== null && slope.up !== 0;
}

/** Why the repeat is as long as it is; undefined where there are no threads. @throws CoreError of `compile` */
export function threadFacts(design: Design): ThreadFacts | undefined {
  return kindFor(design.construction).threadsOf?.(design);
}

/** The cloth that is woven thread by thread, before it is laid; undefined for prints and for what has no threads. */
export function wovenOf(design: Design): PlaidDesign | undefined {
  return kindFor(design.construction).wovenOf?.(design);
}

/** For what only woven cloth is asked for: its threads as they are laid. @throws CoreError "weave/none", as `laidPlaid` */
export function asWoven(design: Design): PlaidDesign {
  const woven = wovenOf(design);
  if (woven === undefined) throw new CoreError('weave/none', {});
  return laidPlaid(woven);
}
