import { CoreError } from '../../error.ts';
import { pictureOf, type ShownPicture } from '../../shape/picture.ts';
import type { Place } from '../../shape/places.ts';
import { lengthText } from './length-text.ts';

/** Pictures of one drawing: each is written once, and used wherever it lies. */
export class PicturesSvg {
  readonly #names = new Map<string, string>();
  #cuts = 0;

  /**
   * A picture inside an outline, in millimetres, y downward.
   * @param place  where a place of the picture lies in the drawing
   * @throws CoreError "picture/missing" {name}
   */
  *draw(shown: ShownPicture, outline: string, place: (at: Place) => Place): Iterable<string> {
    const { width, height, file } = pictureOf(shown);
    if (file === undefined) throw new CoreError('picture/missing', { name: shown.name });
    let name = this.#names.get(file.base64);
    if (name === undefined) {
      name = `picture-${this.#names.size}`;
      this.#names.set(file.base64, name);
      yield `<defs><image id="${name}" width="${width}" height="${height}" preserveAspectRatio="none" ` +
        `href="data:${file.type};base64,`;
      yield file.base64;
      yield '"/></defs>\n';
    }
    const cut = `cut-${this.#cuts}`;
    this.#cuts += 1;
    const { corner, across, down } = shown.place;
    const from = place(corner);
    const right = place({ x: corner.x + across.x, y: corner.y + across.y });
    const below = place({ x: corner.x + down.x, y: corner.y + down.y });
    const matrix = [
      (right.x - from.x) / width,
      (right.y - from.y) / width,
      (below.x - from.x) / height,
      (below.y - from.y) / height,
    ].map((each) => String(Number(each.toPrecision(12))));
    yield `<clipPath id="${cut}"><path d="${outline}"/></clipPath>` +
      `<g clip-path="url(#${cut})"><use href="#${name}" ` +
      `transform="matrix(${[...matrix, lengthText(from.x), lengthText(from.y)].join(' ')})"/></g>\n`;
  }
}
