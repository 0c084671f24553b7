import { useEffect } from 'react';
import { KEYS_OF_CONSTRUCTIONS } from '../build/views.tsx';
import { zoomToPixels, zoomToThree, zoomToTrueSize } from '../cloth/cloth-actions.ts';
import { CLOTH_KEYS } from '../cloth/cloth-keys.ts';
import { useCloth } from '../cloth/cloth-store.ts';
import { RAIL_KEYS } from '../rails/rail-keys.ts';
import { benchState, dispatch } from '../state/bench-store.ts';
import type { KeyList, KeyWords } from '../state/key-list.ts';
import { fitScene, zoomSceneTrue } from '../try-on/drawing/scene-actions.ts';
import { SCENE_KEYS } from '../try-on/drawing/scene-keys.ts';

/** A key that works anywhere on the bench, except while something is typed. */
interface BenchKey extends KeyWords {
  readonly hears: (pressed: Pressed) => boolean;
  readonly act: (shows: { readonly showKeys: () => void }) => void;
}

interface Pressed {
  /** In lower case. */
  readonly key: string;
  /** Ctrl, or Cmd. */
  readonly ctrl: boolean;
  readonly shift: boolean;
  readonly alt: boolean;
}

/** A key by itself; which letters need Shift differs from keyboard to keyboard. */
function alone(wished: string): BenchKey['hears'] {
  return ({ key, ctrl, alt }) => key === wished && !ctrl && !alt;
}

export const ANYWHERE: readonly BenchKey[] = [
  {
    keys: 'Ctrl Z',
    what: 'undo',
    hears: ({ key, ctrl, shift }) => key === 'z' && ctrl && !shift,
    act: () => dispatch({ kind: 'undo' }),
  },
  {
    keys: 'Ctrl Shift Z',
    what: 'redo',
    hears: ({ key, ctrl, shift }) => ctrl && ((key === 'z' && shift) || key === 'y'),
    act: () => dispatch({ kind: 'redo' }),
  },
  {
    keys: '0',
    what: 'true size on this monitor',
    hears: alone('0'),
    act: () => (isTryingOn() ? zoomSceneTrue() : zoomToTrueSize()),
  },
  { keys: '1', what: 'one thread a pixel', hears: alone('1'), act: zoomToPixels },
  {
    keys: '2',
    what: 'three repeats; all of what it is tried on',
    hears: alone('2'),
    act: () => (isTryingOn() ? fitScene() : zoomToThree()),
  },
  {
    keys: 'R',
    what: 'outline the repeat',
    hears: alone('r'),
    act: () => useCloth.setState(({ outlineRepeat }) => ({ outlineRepeat: !outlineRepeat })),
  },
  {
    keys: 'U',
    what: 'outline the unit',
    hears: alone('u'),
    act: () => useCloth.setState(({ outlineUnit }) => ({ outlineUnit: !outlineUnit })),
  },
  {
    keys: 'L',
    what: 'mark the lattice',
    hears: alone('l'),
    act: () => useCloth.setState(({ outlineLattice }) => ({ outlineLattice: !outlineLattice })),
  },
  {
    keys: 'T',
    what: 'pin the ticket',
    hears: alone('t'),
    act: () => useCloth.setState(({ ticket }) => ({ ticket: !ticket })),
  },
  {
    keys: 'B',
    what: 'woven cloth from behind',
    hears: alone('b'),
    act: () => useCloth.setState(({ behind }) => ({ behind: !behind })),
  },
  { keys: '?', what: 'keyboard shortcuts', hears: alone('?'), act: ({ showKeys }) => showKeys() },
];

/** Whether a scene is in the cloth's place. */
function isTryingOn(): boolean {
  return benchState().step === 'Try on';
}

/** Every key and what it does, as `?` lists them. */
export const KEYS: readonly KeyList[] = [
  { where: 'Anywhere', keys: [{ keys: 'Ctrl K', what: 'search everything' }, ...ANYWHERE] },
  { where: 'On a rail', keys: RAIL_KEYS },
  {
    where: 'On the cloth',
    keys: CLOTH_KEYS,
  },
  { where: 'On what it is tried on', keys: SCENE_KEYS },
  ...KEYS_OF_CONSTRUCTIONS,
];

/** Hears the keys that work anywhere on the bench, except while something is typed. */
export function useBenchKeys(showKeys: () => void): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const typing = (event.target as Element).closest?.('input, textarea, select, [role="dialog"]') !== null;
      if (typing) return;
      const pressed = {
        key: event.key.toLowerCase(),
        ctrl: event.ctrlKey || event.metaKey,
        shift: event.shiftKey,
        alt: event.altKey,
      };
      const found = ANYWHERE.find(({ hears }) => hears(pressed));
      if (found === undefined) return;
      // Else the browser undoes something of its own.
      if (pressed.ctrl) event.preventDefault();
      found.act({ showKeys });
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, [showKeys]);
}
