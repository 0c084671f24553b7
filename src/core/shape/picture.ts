import { CoreError } from '../error.ts';
import { type Motion, movePlace, moveWay } from './contour.ts';
import type { Box } from './figure-box.ts';
import type { Place } from './places.ts';

/** Kinds of files that pictures are kept as. */
export const PICTURE_TYPES = ['image/png', 'image/jpeg', 'image/webp'] as const;

/** A file of a picture, as text. */
export interface PictureFile {
  readonly type: (typeof PICTURE_TYPES)[number];
  readonly base64: string;
}

/** A picture that can be painted. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  /** Red, green, blue and alpha in sRGB bytes, not multiplied, row after row from the top. */
  readonly rgba: Uint8Array;
  /** What it was read from, for drawings that embed it; left out where none are made. */
  readonly file?: PictureFile;
}

/** Pictures by the SHA-256 of their files, in hexadecimal. */
export type Pictures = ReadonlyMap<string, Picture>;

export const NO_PICTURES: Pictures = new Map();

/** Whether all of a picture is seen, or none of the shape is left without it. */
export const PICTURE_FITS = ['fitted', 'filling'] as const;
export type PictureFit = (typeof PICTURE_FITS)[number];

/** Where a picture lies: its upper left corner, and the ways along its upper and its left edge. */
export interface PicturePlace {
  readonly corner: Place;
  readonly across: Place;
  readonly down: Place;
  /** Whether it ends inside its shape at its left and right edge, and at its upper and lower one. */
  readonly ends: { readonly across: boolean; readonly down: boolean };
}

/** A picture where it lies. It may be known by its size alone, until it is painted. */
export interface ShownPicture {
  readonly name: string;
  readonly picture: Picture | undefined;
  readonly place: PicturePlace;
}

/** @throws CoreError "picture/missing" {name} */
export function pictureOf({ picture, name }: ShownPicture): Picture {
  if (picture === undefined) throw new CoreError('picture/missing', { name });
  return picture;
}

/** In the middle of a box, as large as all of it fits in, or as small as nothing is left over; upright, y upward. */
export function placePicture(
  { left, right, bottom, top }: Box,
  size: { readonly width: number; readonly height: number },
  fit: PictureFit,
): PicturePlace {
  const room = { x: right - left, y: top - bottom };
  const scales = [room.x / size.width, room.y / size.height] as const;
  const scale = fit === 'fitted' ? Math.min(...scales) : Math.max(...scales);
  const width = size.width * scale;
  const height = size.height * scale;
  return {
    corner: { x: left + (room.x - width) / 2, y: top - (room.y - height) / 2 },
    across: { x: width, y: 0 },
    down: { x: 0, y: -height },
    ends: { across: width < room.x, down: height < room.y },
  };
}

export function movePicture(place: PicturePlace, motion: Motion): PicturePlace {
  return {
    ...place,
    corner: movePlace(place.corner, motion),
    across: moveWay(place.across, motion),
    down: moveWay(place.down, motion),
  };
}
