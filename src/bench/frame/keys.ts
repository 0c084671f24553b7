import { useEffect } from 'react';
import { zoomToPixels, zoomToThree, zoomToTrueSize } from '../cloth/cloth-actions.ts';
import { useCloth } from '../cloth/cloth-store.ts';
import { dispatch } from '../state/bench-store.ts';

/** Every key and what it does, as `?` lists them. */
export const KEYS: readonly {
  readonly where: string;
  readonly keys: readonly (readonly [string, string])[];
}[] = [
  {
    where: 'Anywhere',
    keys: [
      ['Ctrl Z', 'undo'],
      ['Ctrl Shift Z', 'redo'],
      ['0', 'true size on this monitor'],
      ['1', 'one thread a pixel'],
      ['2', 'three repeats'],
      ['R', 'outline the repeat'],
      ['U', 'outline the unit'],
      ['T', 'pin the ticket'],
      ['B', 'woven cloth from behind'],
      ['?', 'this list'],
    ],
  },
  {
    where: 'On a rail',
    keys: [
      ['← → or ↑ ↓', 'go along the rail'],
      ['0–9', 'type the band’s count'],
      ['A–Z', 'give the band the shade of that letter'],
      ['+ −', 'one thread more or less; ten with Shift'],
      ['Alt and an arrow', 'move the band'],
      ['Enter or a double click', 'split the band'],
      ['Delete', 'remove the band'],
      ['Drag an edge', 'trade threads with the neighbour; with Alt grow the whole'],
      ['Drag a band', 'move it'],
    ],
  },
  {
    where: 'On the cloth',
    keys: [
      ['Wheel', 'zoom about the pointer'],
      ['Drag', 'pan'],
    ],
  },
  {
    where: 'On a tiling',
    keys: [
      ['Click', 'choose a face, a side or a corner'],
      ['Arrows', 'move a corner that can be dragged'],
      ['Enter on a side', 'grow a patch there'],
    ],
  },
  {
    where: 'On a draft',
    keys: [
      ['Arrows', 'go over the drawdown'],
      ['Space', 'raise or lower the warp there'],
      ['Shift, Alt', 'work a whole pick, a whole end'],
    ],
  },
];

/** Hears the keys that work anywhere on the bench, except while something is typed. */
export function useBenchKeys(showKeys: () => void): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const typing = (event.target as Element).closest?.('input, textarea, select, [role="dialog"]') !== null;
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z' && !typing) {
        dispatch({ kind: event.shiftKey ? 'redo' : 'undo' });
        event.preventDefault();
      } else if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'y' && !typing) {
        dispatch({ kind: 'redo' });
        event.preventDefault();
      } else if (!typing && !event.ctrlKey && !event.metaKey && !event.altKey) {
        ACTIONS[event.key.toLowerCase()]?.();
        if (event.key === '?') showKeys();
      }
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, [showKeys]);
}

const ACTIONS: Readonly<Record<string, () => void>> = {
  '0': zoomToTrueSize,
  '1': zoomToPixels,
  '2': zoomToThree,
  r: () => useCloth.setState(({ outlineRepeat }) => ({ outlineRepeat: !outlineRepeat })),
  u: () => useCloth.setState(({ outlineUnit }) => ({ outlineUnit: !outlineUnit })),
  b: () => useCloth.setState(({ behind }) => ({ behind: !behind })),
  t: () => useCloth.setState(({ ticket }) => ({ ticket: !ticket })),
};
