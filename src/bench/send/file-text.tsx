import { TEXT_FILES } from '../../core/design/construction.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { writeFile } from '../../core/design/exchange/write-file.ts';
import { writeDesignText } from '../../core/design/read-design.ts';
import { attempt } from '../../wording/attempt.ts';
import { useDesign } from '../state/bench-store.ts';
import { fileOf, useSend } from './send-store.ts';

/** Most characters of a file that are shown. */
const SHOWN = 20_000;

/** A file of text as it will be sent. */
export function FileText() {
  const design = useDesign();
  const { file } = useSend();
  const written = attempt(() => textOf(design, fileOf(file)));
  const text = 'value' in written ? written.value : written.problem;
  return (
    <section aria-label="What will be sent" className="h-full p-8">
      <pre
        // biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so the keyboard must reach it
        tabIndex={0}
        className="numbers m-0 h-full overflow-auto whitespace-pre-wrap rounded-card bg-paper p-6 shadow-[0_4px_18px_rgb(32_41_43/0.25)]"
      >
        {text.slice(0, SHOWN)}
      </pre>
    </section>
  );
}

function textOf(design: Design, file: string): string {
  const written = TEXT_FILES.find((each) => each === file);
  return written === undefined ? writeDesignText(design) : writeFile(design, written);
}
