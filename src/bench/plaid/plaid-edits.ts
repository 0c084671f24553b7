import type { Crossed, PrintChoice } from '../../core/design/plaid/plaid-schema.ts';
import { changing, type Edit } from '../state/design-edits.ts';

export function setTurn(turn: number): Edit {
  return changing('plaid', ({ weft }) => ({ weft: { ...weft, turn } }));
}

export function setCrossing(crossing: Crossed): Edit {
  return changing('plaid', () => ({ crossing }));
}

export function setPrint(change: Partial<PrintChoice>): Edit {
  return changing('plaid', ({ print }) => ({ print: { ...print, ...change } }));
}
