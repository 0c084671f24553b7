import type { Colourway } from '../../core/design/colourway.ts';
import type { Edit } from './design-edits.ts';

/** Adds a colourway; a name that is taken gets a number behind it. */
export function addColourway(name: string, colours: Colourway['colours']): Edit {
  return (design) => ({
    ...design,
    colourways: [...design.colourways, { name: freeName(design.colourways, name), colours }],
  });
}

/** Puts other colours into a colourway. */
export function updateColourway(name: string, colours: Colourway['colours']): Edit {
  return (design) => ({
    ...design,
    colourways: design.colourways.map((each) => (each.name === name ? { name, colours } : each)),
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
export function rekeyed(colourways: readonly Colourway[], key: string, to: string | undefined): Colourway[] {
  return colourways.map(({ name, colours }) => {
    const { [key]: hex, ...rest } = colours;
    return { name, colours: hex === undefined || to === undefined ? rest : { ...rest, [to]: hex } };
  });
}
