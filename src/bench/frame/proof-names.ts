import type { Proof } from '../../core/colour/proof.ts';

/** What each way of proofing is called. */
export const PROOF_NAMES: Readonly<Record<Proof, string>> = {
  none: 'As it is',
  grey: 'In greys',
  protan: 'Without red cones (protan)',
  deutan: 'Without green cones (deutan)',
  tritan: 'Without blue cones (tritan)',
};
