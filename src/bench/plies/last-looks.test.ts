import { afterEach, describe, expect, it, vi } from 'vitest';
import { keepLook, lastLook } from './last-looks.ts';

describe('how a ply was blended last', () => {
  afterEach(() => vi.unstubAllGlobals());

  function store(kept: Record<string, string>) {
    vi.stubGlobal('localStorage', {
      getItem: (name: string) => kept[name] ?? null,
      setItem: (name: string, value: string) => {
        kept[name] = value;
      },
    });
  }

  it('is what is usual where nothing was kept', () => {
    store({});
    expect(lastLook('texture')).toEqual({ blend: 'multiply', strength: '20%' });
  });

  it('is kept for each kind by itself', () => {
    store({});
    keepLook('texture', { blend: 'lighten', strength: '35%' });
    keepLook('shade', { blend: 'screen', strength: '1/3' });
    expect(lastLook('texture')).toEqual({ blend: 'lighten', strength: '35%' });
    expect(lastLook('shade')).toEqual({ blend: 'screen', strength: '1/3' });
    expect(lastLook('shelf').blend).toBe('normal');
  });

  it.each(['no JSON', '{"shade":{"blend":"glow","strength":"1"}}', '{"shade":{"blend":"screen"}}', 'null'])(
    'is the usual where %s was kept',
    (text) => {
      store({ 'vetro-last-looks': text });
      expect(lastLook('shade')).toEqual({ blend: 'multiply', strength: '50%' });
    },
  );
});
