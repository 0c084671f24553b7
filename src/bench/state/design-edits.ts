import type { Shade } from '../../core/colour/shade.ts';
import type { Colourway } from '../../core/design/colourway.ts';
import {
  asPlaid,
  asStripe,
  asTiling,
  type Design,
  isPlaid,
  isStripe,
  isTiling,
  type Lay,
  MAX_COLOURWAYS,
} from '../../core/design/design-schema.ts';
import { structuredWeave } from '../../core/design/new-design.ts';
import { turnOf, weftOf } from '../../core/design/plaid/compile-plaid.ts';
import type { Crossed, Plaid, PrintChoice } from '../../core/design/plaid/plaid-schema.ts';
import { shadesUsed, withShadeReplaced } from '../../core/design/shades-used.ts';
import { steppedSequence, withStepped } from '../../core/design/stripe/stepped-bands.ts';
import type { Stripe } from '../../core/design/stripe/stripe-schema.ts';
import type { TilingSpec } from '../../core/design/tiling/tiling-schema.ts';
import type { Bands } from '../../core/thread/edit-bands.ts';
import type { Mirror, Sequence } from '../../core/thread/sequence.ts';
import type { WeaveSpec } from '../../core/thread/weaves/weave-spec.ts';

/** What the bench does to a design: each takes it and gives it changed, or the same object when nothing is. */
export type Edit = (design: Design) => Design;

export type Direction = 'warp' | 'weft';

/** The sequence that a rail shows; a stripe has one, whichever way it is asked for. */
export function sequenceOf(design: Design, direction: Direction): Sequence {
  if (isStripe(design)) return steppedSequence(design);
  const { construction } = asPlaid(design);
  return direction === 'warp' ? construction.warp : weftOf(construction);
}

/** Whether both rails show one sequence. */
export function sharesSequence(design: Design): boolean {
  return !isPlaid(design) || design.construction.weft.follows;
}

/** The edges of the cloth that have a rail: lines that are level run into the left one only, others into the upper. */
export function railsOf(design: Design): readonly Direction[] {
  if (isTiling(design)) return [];
  if (!isStripe(design)) return ['warp', 'weft'];
  return design.construction.slope.rise === 0 ? ['weft'] : ['warp'];
}

/** Threads by which a rail's sequence begins later. */
export function turnOn(design: Design, direction: Direction): number {
  return direction === 'weft' && isPlaid(design) ? turnOf(design.construction) : 0;
}

/** Replaces the sequence that a rail shows; a weft that follows the warp changes both. */
export function setSequence(direction: Direction, sequence: Sequence): Edit {
  return (design) => {
    if (isStripe(design)) return withStripe(design, withStepped(design, sequence));
    if (sequence === sequenceOf(design, direction)) return design;
    const copy = { bands: [...sequence.bands], mirror: sequence.mirror };
    const { construction } = asPlaid(design);
    const own = direction === 'weft' && !construction.weft.follows;
    return withPlaid(design, own ? { weft: { ...construction.weft, own: copy } } : { warp: copy });
  };
}

export function editBands(direction: Direction, change: (bands: Bands) => Bands): Edit {
  return (design) => {
    const sequence = sequenceOf(design, direction);
    const bands = change(sequence.bands);
    return bands === sequence.bands ? design : setSequence(direction, { ...sequence, bands })(design);
  };
}

export function setMirror(direction: Direction, mirror: Mirror): Edit {
  return (design) => setSequence(direction, { ...sequenceOf(design, direction), mirror })(design);
}

/** Lets the weft follow the warp, or go its own way: the way it had before, or the warp's to begin with. */
export function setFollows(follows: boolean): Edit {
  return (design) => {
    const { warp, weft } = asPlaid(design).construction;
    if (weft.follows === follows) return design;
    return withPlaid(design, { weft: { ...weft, follows, own: follows ? weft.own : (weft.own ?? warp) } });
  };
}

export function setTurn(turn: number): Edit {
  return (design) => withPlaid(design, { weft: { ...asPlaid(design).construction.weft, turn } });
}

export function setCrossing(crossing: Crossed): Edit {
  return (design) => withPlaid(design, { crossing });
}

export function setPrint(change: Partial<PrintChoice>): Edit {
  return (design) => withPlaid(design, { print: { ...asPlaid(design).construction.print, ...change } });
}

export function setWeave(weave: WeaveSpec): Edit {
  return (design) => withPlaid(design, { weave: structuredWeave(weave) });
}

export function setResolution(resolution: string): Edit {
  return (design) => (design.resolution === resolution ? design : { ...design, resolution });
}

export function setLay(change: Partial<Lay>): Edit {
  return (design) => ({ ...design, lay: { ...design.lay, ...change } });
}

export function setShades(shades: readonly Shade[]): Edit {
  return (design) => ({ ...design, shades: [...shades] });
}

/** Changes a shade; a new key is carried into every band that uses it. */
export function changeShade(key: string, change: Partial<Shade>): Edit {
  return (design) => {
    const shades = design.shades.map((shade) => (shade.key === key ? { ...shade, ...change } : shade));
    const renamed = change.key === undefined ? design : replaceEverywhere(design, key, change.key);
    return { ...renamed, shades, colourways: rekeyed(design.colourways, key, change.key ?? key) };
  };
}

/** Takes a shade off the card; bands that use it take `replacement`. */
export function removeShade(key: string, replacement: string | undefined): Edit {
  return (design) => {
    if (design.shades.length === 1) return design;
    const freed = replacement === undefined ? design : replaceEverywhere(design, key, replacement);
    if (bandsUsing(freed, key) > 0) return design;
    const colourways = rekeyed(design.colourways, key, undefined);
    return { ...freed, colourways, shades: design.shades.filter((shade) => shade.key !== key) };
  };
}

export { MAX_COLOURWAYS };

/** Adds a colourway; a name that is taken gets a number behind it. */
export function addColourway(name: string, colours: Colourway['colours']): Edit {
  return (design) => ({
    ...design,
    colourways: [...design.colourways, { name: freeName(design.colourways, name), colours }],
  });
}

export function removeColourway(name: string): Edit {
  return (design) => ({ ...design, colourways: design.colourways.filter((each) => each.name !== name) });
}

/** An empty name changes nothing. */
export function renameColourway(name: string, to: string): Edit {
  return (design) => {
    if (to === '' || to === name) return design;
    const others = design.colourways.filter((each) => each.name !== name);
    const free = freeName(others, to);
    return {
      ...design,
      colourways: design.colourways.map((each) => (each.name === name ? { ...each, name: free } : each)),
    };
  };
}

function freeName(colourways: readonly Colourway[], name: string): string {
  const taken = (wished: string) => colourways.some((each) => each.name === wished);
  if (!taken(name)) return name;
  for (let number = 2; ; number += 1) if (!taken(`${name} ${number}`)) return `${name} ${number}`;
}

/** Colourways in which a shade's letter is another, or is gone. */
function rekeyed(colourways: readonly Colourway[], key: string, to: string | undefined): Colourway[] {
  return colourways.map(({ name, colours }) => {
    const { [key]: hex, ...rest } = colours;
    return { name, colours: hex === undefined || to === undefined ? rest : { ...rest, [to]: hex } };
  });
}

/** How many typed bands use a shade, those of a weft that rests included. */
export function bandsUsing({ construction }: Design, key: string): number {
  return shadesUsed(construction).filter((use) => use.key === key).length;
}

function replaceEverywhere(design: Design, from: string, to: string): Design {
  return { ...design, construction: withShadeReplaced(design.construction, from, to) };
}

function withPlaid(design: Design, change: Partial<Plaid>): Design {
  return { ...design, construction: { ...asPlaid(design).construction, ...change } };
}

/** Changes what a stripe is; nothing when nothing of it is new. */
export function setStripe(change: Partial<Stripe>): Edit {
  return (design) => withStripe(design, { ...asStripe(design).construction, ...change });
}

/** Changes what a tiling is. */
export function setTiling(change: Partial<TilingSpec>): Edit {
  return (design) => ({ ...design, construction: { ...asTiling(design).construction, ...change } });
}

/** The same object when the stripe says the same. */
function withStripe(design: Design, construction: Stripe): Design {
  const same = JSON.stringify(construction) === JSON.stringify(design.construction);
  return same ? design : { ...design, construction };
}
