import { describe, expect, it } from 'vitest';
import { scoreCommand } from './score.ts';

describe('scoreCommand', () => {
  it('needs every word, in any order and case', () => {
    expect(scoreCommand('Send as PNG', 'download', 'png SEND')).toBeGreaterThan(0);
    expect(scoreCommand('Send as PNG', 'download', 'send svg')).toBe(0);
    expect(scoreCommand('Send as PNG', 'download', 'download')).toBeGreaterThan(0);
  });

  it('finds no letters that are scattered', () => {
    expect(scoreCommand('Duplicate this design', 'copy', 'dts')).toBe(0);
  });

  it('puts the beginning before a word, a word before its inside, all before words beside', () => {
    const scores = [
      scoreCommand('Weave: twill', '', 'weave'),
      scoreCommand('A weave', '', 'weave'),
      scoreCommand('Interweave', '', 'weave'),
      scoreCommand('Twill', 'weave', 'weave'),
    ];
    expect(scores).toEqual([...scores].sort((one, other) => other - one));
    expect(new Set(scores).size).toBe(4);
  });

  it('finds everything by nothing', () => {
    expect(scoreCommand('Send as PNG', '', ' ')).toBe(1);
  });
});
