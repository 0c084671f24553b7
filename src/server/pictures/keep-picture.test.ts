import { createHash } from 'node:crypto';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { motifOf } from '../../../tests/motif-of.ts';
import { storeOf } from '../../../tests/store-of.ts';
import { MAX_PICTURE_SIDE } from '../../core/design/picture-schema.ts';
import { openDatabase } from '../db/open-database.ts';
import { carrying, dropUnusedPictures } from '../db/picture-table.ts';
import { RUNNING_DAY } from '../db/running-time.ts';
import { addDesign, saveDesign } from '../shelf.ts';
import { decodedPictures, decodePicture } from './decoded-pictures.ts';
import { readyPicture } from './keep-picture.ts';
import { keepCarried, keepPicture } from './kept-pictures.ts';

const plain = (width = 6, height = 4) =>
  sharp({ create: { width, height, channels: 4, background: { r: 200, g: 30, b: 20, alpha: 0.5 } } });

const bytesOf = async (image: sharp.Sharp) => new Uint8Array(await image.toBuffer());

describe('a picture that is kept', () => {
  it.each(['png', 'webp', 'jpeg'] as const)('stays the file that it is: %s', async (format) => {
    const bytes = await bytesOf(plain().toFormat(format, { lossless: true }));
    const { about, type, bytes: kept } = await readyPicture(bytes);
    expect(Buffer.compare(kept, bytes)).toBe(0);
    expect(type).toBe(`image/${format}`);
    expect(about).toEqual({
      hash: createHash('sha256').update(bytes).digest('hex'),
      width: 6,
      height: 4,
      notes: [],
    });
  });

  it('is upright, without what the camera noted', async () => {
    const bytes = await bytesOf(
      plain()
        .withExif({ IFD0: { Copyright: 'Somebody' } })
        .withMetadata({ orientation: 6 })
        .jpeg(),
    );
    const { about, bytes: kept } = await readyPicture(bytes);
    expect(about).toMatchObject({ width: 4, height: 6, notes: ['turned'] });
    expect((await sharp(kept).metadata()).exif).toBeUndefined();
  });

  it('is made smaller where it is large, and says so', async () => {
    const bytes = await bytesOf(plain(MAX_PICTURE_SIDE * 2, 100).png());
    const { about } = await readyPicture(bytes);
    expect(about).toMatchObject({ width: MAX_PICTURE_SIDE, height: 50, notes: ['shrunk'] });
  });

  it('keeps how clear it is', async () => {
    const { rgba } = await decodePicture(await bytesOf(plain().png()));
    expect([...rgba.subarray(0, 4)]).toEqual([200, 30, 20, 128]);
  });

  it.each([
    ['no picture', Buffer.from('a letter'), 'picture/not-one'],
    ['of no bytes', Buffer.alloc(0), 'picture/not-one'],
    [
      'of another kind',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'),
      'picture/kind',
    ],
  ])('is refused: %s', async (_, bytes, code) => {
    await expect(readyPicture(bytes)).rejects.toThrow(code);
  });

  it('is refused where it is broken, or of 200 megapixels', async () => {
    const whole = await bytesOf(plain(300, 300).linear([1, 1, 1, 1], [0, 0, 0, 0]).png());
    await expect(readyPicture(whole.subarray(0, whole.length / 2))).rejects.toThrow('picture/broken');
    const huge = await bytesOf(
      sharp({ create: { width: 20_000, height: 10_000, channels: 3, background: '#000' } }).png(),
    );
    await expect(readyPicture(huge)).rejects.toThrow('picture/too-large');
  });
});

describe('a design’s pictures', () => {
  const now = '2026-01-01T00:00:00.000Z';
  const carrier = async () => {
    const bytes = await bytesOf(plain().png());
    const { about } = await readyPicture(bytes);
    const { notes: _, ...known } = about;
    const picture = { ...known, name: 'Red', fit: 'filling' as const };
    const shape = { kind: 'rectangle', width: '4', height: '2', radii: '0' } as const;
    const base64 = Buffer.from(bytes).toString('base64');
    return {
      bytes,
      hash: about.hash,
      design: {
        ...motifOf([{ shape, picture }]),
        pictures: { [about.hash]: { type: 'image/png' as const, base64 } },
      },
    };
  };

  it('are kept apart, once, and carried along where it leaves', async () => {
    const db = await openDatabase(':memory:');
    const { design, bytes, hash } = await carrier();
    const stored = await keepCarried(db, design, now);
    expect(stored.pictures).toEqual({});
    expect(await keepPicture(db, new Uint8Array(bytes), now)).toMatchObject({ hash });
    const { count } = await db
      .selectFrom('picture')
      .select((expression) => expression.fn.countAll<number>().as('count'))
      .executeTakeFirstOrThrow();
    expect(count).toBe(1);
    expect(await carrying(db, stored)).toEqual(design);
    const decoded = await decodedPictures(design);
    expect(decoded.get(hash)).toMatchObject({ width: 6, height: 4 });
    await db.destroy();
  });

  it('go when nothing has shown them for long, in no design and no earlier state', async () => {
    const db = await openDatabase(':memory:');
    const store = storeOf(db);
    const { design, hash } = await carrier();
    const { id } = await addDesign(store, { design, now });
    await keepPicture(db, await bytesOf(plain(3, 3).png()), now);
    const kept = async () => (await db.selectFrom('picture').select('hash').execute()).map((row) => row.hash);
    const dropAt = (days: number) => dropUnusedPictures(db, days * RUNNING_DAY);
    expect(await dropAt(1)).toBe(0);
    expect(await dropAt(60)).toBe(0);
    expect(await dropAt(62)).toBe(1);
    expect(await kept()).toEqual([hash]);
    // The design shows it no more, but could be taken back to when it did.
    const plainer = { ...design, construction: { ...design.construction, pieces: [] }, pictures: {} };
    await saveDesign(store, { id, version: 1, design: plainer, now: '2026-06-01T00:00:00.000Z' });
    expect(await dropAt(200)).toBe(0);
    await db.deleteFrom('design').execute();
    expect(await dropAt(201)).toBe(0);
    expect(await dropAt(262)).toBe(1);
    expect(await kept()).toEqual([]);
    await db.destroy();
  });

  it('are the ones that their names say, or none', async () => {
    const db = await openDatabase(':memory:');
    const { design, hash } = await carrier();
    const other = Buffer.from(await bytesOf(plain(9, 9).png())).toString('base64');
    const swapped = { ...design, pictures: { [hash]: { type: 'image/png' as const, base64: other } } };
    await expect(keepCarried(db, swapped, now)).rejects.toThrow('picture/carried');
    await expect(decodedPictures(swapped)).rejects.toThrow('picture/carried');
    await db.destroy();
  });
});
