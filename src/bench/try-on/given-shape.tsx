import { useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { Design } from '../../core/design/design-schema.ts';
import { isKind } from '../../core/design/of-kind.ts';
import { piecePaths } from '../../core/design/try-on/piece-path.ts';
import { CoreError } from '../../core/error.ts';
import type { SceneShapes } from '../../core/scene/scene.ts';
import { LETTER_FONT_KEYS, type LetterFontKey, letters } from '../../core/shape/letters/letters.ts';
import { FileButton } from '../../kit/fields/file-button.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { TextField } from '../../kit/fields/text-field.tsx';
import { valueIfAny } from '../../wording/attempt.ts';
import { errorSentence } from '../../wording/error-sentence.ts';
import { FONT_NAMES } from '../../wording/motif-words.ts';
import { dispatch } from '../state/bench-store.ts';
import { pathProblem, pathsOfSvg } from './svg-paths.ts';
import { changingTryOn, tryOnOf } from './try-on-edits.ts';

/** The letters or the path that a scene is drawn of. */
export function GivenShape({
  design,
  needs,
}: {
  readonly design: Design;
  readonly needs: keyof SceneShapes | undefined;
}) {
  if (needs === undefined) return null;
  return needs === 'letters' ? <LettersFields design={design} /> : <PathFields design={design} />;
}

function LettersFields({ design }: { design: Design }) {
  const { text, font } = tryOnOf(design).letters;
  const [draft, setDraft] = useState(text);
  useEffect(() => setDraft(text), [text]);
  const error = mistakeIn(draft, font);
  const put = (change: Partial<SceneShapes['letters']>) =>
    dispatch({
      kind: 'edit',
      edit: changingTryOn((tryOn) => ({ letters: { ...tryOn.letters, ...change } })),
      tag: 'letters',
    });
  return (
    <div className="grid grid-cols-2 items-start gap-3">
      <TextField
        label="Letters"
        value={draft}
        error={error}
        onChange={(next) => {
          const few = next.slice(0, 60);
          setDraft(few);
          if (mistakeIn(few, font) === undefined) put({ text: few });
        }}
      />
      <SelectField
        label="Font"
        value={font}
        options={LETTER_FONT_KEYS.map((key) => ({ value: key, text: FONT_NAMES[key] }))}
        onChange={(next: LetterFontKey) => put({ font: next })}
      />
    </div>
  );
}

function mistakeIn(text: string, font: LetterFontKey): CoreError | undefined {
  try {
    letters(text, font, 100);
    return undefined;
  } catch (error) {
    if (error instanceof CoreError) return error;
    throw error;
  }
}

/** Largest SVG file that is looked for a path, in bytes. */
const MOST_BYTES = 4_000_000;

function PathFields({ design }: { design: Design }) {
  const { path } = tryOnOf(design);
  const [draft, setDraft] = useState(path);
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    setDraft(path);
    setProblem(undefined);
  }, [path]);
  const put = (next: string) => {
    setDraft(next);
    const wrong = pathProblem(next);
    setProblem(wrong);
    if (wrong === undefined) {
      dispatch({ kind: 'edit', edit: changingTryOn(() => ({ path: next })), tag: 'path' });
    }
  };
  const pieces = useMemo(
    () => (isKind('motif', design) ? (valueIfAny(() => piecePaths(design)) ?? []) : []),
    [design],
  );
  return (
    <div className="flex flex-col gap-2">
      <label className="label" htmlFor="path-data">
        Path
      </label>
      <textarea
        id="path-data"
        className="field numbers h-[84px] resize-y text-[12px]"
        spellCheck={false}
        value={draft}
        aria-invalid={problem !== undefined}
        onChange={(event) => put(event.target.value)}
      />
      {problem !== undefined && (
        <p role="alert" className="text-[12.5px] text-madder">
          {problem}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <FileButton
          text="Take it from an SVG…"
          label="SVG file"
          accept=".svg,image/svg+xml"
          onFiles={([file]) =>
            void pathOfFile(file!).then(put, (error: unknown) =>
              toast.error(errorSentence(error) ?? (error as Error).message),
            )
          }
        />
      </div>
      {pieces.length > 0 && (
        <SelectField
          label="Or a piece of this motif"
          value=""
          none="Choose a piece"
          options={pieces.map(({ name }, at) => ({ value: String(at), text: name }))}
          onChange={(at) => put(pieces[Number(at)]!.path)}
        />
      )}
    </div>
  );
}

async function pathOfFile(file: File): Promise<string> {
  if (file.size > MOST_BYTES) throw new CoreError('file/too-large', { size: file.size, most: MOST_BYTES });
  return pathsOfSvg(await file.text());
}
