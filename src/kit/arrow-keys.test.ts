import { expect, it } from 'vitest';
import { wayOf } from './arrow-keys.ts';

it('an arrow key has a way, y upward, and no other key has one', () => {
  expect(wayOf('ArrowUp')).toEqual({ right: 0, up: 1 });
  expect(wayOf('ArrowLeft')).toEqual({ right: -1, up: 0 });
  expect(['a', 'Enter', 'constructor', '__proto__'].map(wayOf)).toEqual(Array(4).fill(undefined));
});
