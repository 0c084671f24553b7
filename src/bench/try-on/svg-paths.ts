import { CoreError } from '../../core/error.ts';
import { sceneOf } from '../../core/scene/scenes.ts';
import { errorSentence } from '../../wording/error-sentence.ts';

/** All path data of an SVG file. Nothing of it is shown or run: it is read as text. @throws CoreError "path/empty" */
export function pathsOfSvg(text: string): string {
  const document = new DOMParser().parseFromString(text, 'image/svg+xml');
  const paths = [...document.querySelectorAll('path')].flatMap((path) => path.getAttribute('d') ?? []);
  if (paths.length === 0) throw new CoreError('path/empty', {});
  return paths.join('');
}

/** Why a path makes no shape, in words; undefined where it does. */
export function pathProblem(path: string): string | undefined {
  try {
    sceneOf('path').draw({ width: 400 }, { path, letters: { text: 'A', font: 'bricolage' } });
    return undefined;
  } catch (error) {
    return errorSentence(error) ?? (error as Error).message;
  }
}
