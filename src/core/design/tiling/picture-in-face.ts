import type { Point } from '../../exact/plane.ts';
import { movePlace, turnAbout } from '../../shape/contour.ts';
import { movePicture, type PicturePlace, type Pictures, placePicture } from '../../shape/picture.ts';
import { type Place, placesOf } from '../../shape/places.ts';
import { shownPicture } from '../picture-schema.ts';
import { firstSide } from './first-side.ts';
import type { PictureSpec } from './tiling-schema.ts';

/**
 * The picture of a face, upright or with its lower edge along the face's first side.
 * @param corners  in repeats
 * @param pitch    lengths of one repeat
 */
export function pictureInFace(
  { picture, turned }: PictureSpec,
  corners: readonly Point[],
  pitch: Place,
  pictures: Pictures,
) {
  const face = placesOf(corners, pitch);
  const degrees = turned ? firstSide(face) : 0;
  const middle = { x: 0, y: 0 };
  const level = face.map((place) => movePlace(place, turnAbout(middle, -degrees)));
  const xs = level.map(({ x }) => x);
  const ys = level.map(({ y }) => y);
  const box = {
    left: Math.min(...xs),
    right: Math.max(...xs),
    bottom: Math.min(...ys),
    top: Math.max(...ys),
  };
  const place = movePicture(placePicture(box, picture, picture.fit), turnAbout(middle, degrees));
  return shownPicture(picture, inRepeats(place, pitch), pictures);
}

function inRepeats({ corner, across, down, ends }: PicturePlace, pitch: Place): PicturePlace {
  const parts = ({ x, y }: Place) => ({ x: x / pitch.x, y: y / pitch.y });
  return { corner: parts(corner), across: parts(across), down: parts(down), ends };
}
