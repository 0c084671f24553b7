import { afterEach, describe, expect, it, vi } from 'vitest';
import { keepLook, keepTexture, lastLook, lastTexture } from './last-looks.ts';

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

  it('is kept with the weave whose texture it was, where that can be read', () => {
    const kept: Record<string, string> = {};
    store(kept);
    expect(lastTexture()).toBe('2/2Z');
    keepTexture('satin 5/2');
    expect(lastTexture()).toBe('satin 5/2');
    keepTexture('2/2X');
    expect(lastTexture()).toBe('2/2Z');
  });

  it.each(['no JSON', '{"shade":{"blend":"glow","strength":"1"}}', '{"shade":{"blend":"screen"}}', 'null'])(
    'is the usual where %s was kept',
    (text) => {
      store({ 'vetro-last-looks': text });
      expect(lastLook('shade')).toEqual({ blend: 'multiply', strength: '50%' });
    },
  );
});
