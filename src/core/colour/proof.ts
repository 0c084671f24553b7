import {
  filterDeficiencyDeuter,
  filterDeficiencyProt,
  filterDeficiencyTrit,
  formatHex,
  lrgb,
  rgb,
} from 'culori';

/** Ways of seeing that a design is proofed in: as it is, in greys of the same light, or without one kind of cone. */
export const PROOFS = ['none', 'grey', 'protan', 'deutan', 'tritan'] as const;
export type Proof = (typeof PROOFS)[number];

const DEFICIENCIES = {
  protan: filterDeficiencyProt(1),
  deutan: filterDeficiencyDeuter(1),
  tritan: filterDeficiencyTrit(1),
} as const;

/**
 * A colour as it is seen in a proof. Deficiencies by the library's matrices (full strength); grey by relative luminance.
 * Source of the luminance: W3C WCAG 2.2.
 */
export function seenAs(hex: string, proof: Proof): string {
  switch (proof) {
    case 'none':
      return hex;
    case 'grey': {
      const { r, g, b } = lrgb(hex)!;
      const light = 0.2126 * r + 0.7152 * g + 0.0722 * b;
      return formatHex({ mode: 'lrgb', r: light, g: light, b: light });
    }
    case 'protan':
    case 'deutan':
    case 'tritan':
      return formatHex(DEFICIENCIES[proof](rgb(hex)!));
    default:
      return proof satisfies never;
  }
}
