import type { Command } from 'commander';
import { type ByKind, KINDS } from '../../core/design/constructions.ts';
import { addNewFromStart } from './new-from-start.ts';
import { addNewMotif } from './new-motif.ts';
import { addNewPlaid } from './new-plaid.ts';
import { addNewPlies } from './new-plies.ts';
import { addNewStripe } from './new-stripe.ts';
import { addNewTiling } from './new-tiling.ts';
import { addNewWeave } from './new-weave.ts';

/** Commands that take numbers too; what has none here begins with a start point alone. */
const COMMANDS: { readonly [K in keyof ByKind]?: (make: Command) => void } = {
  plaid: addNewPlaid,
  stripe: addNewStripe,
  tiling: addNewTiling,
  motif: addNewMotif,
  plies: addNewPlies,
};

/** The commands below `vetro new`: their help names every start point, so they are loaded only when they are asked for. */
export function addNewCommands(make: Command): void {
  for (const kind of Object.keys(KINDS) as (keyof ByKind)[]) {
    const add = COMMANDS[kind];
    if (add === undefined) addNewFromStart(make, kind);
    else add(make);
  }
  addNewWeave(make);
}
