import type { Design } from '../../core/design/design-schema.ts';
import { designToCsv } from '../../core/design/exchange/counts-csv.ts';
import { designToText } from '../../core/design/exchange/counts-text.ts';
import { designToWif } from '../../core/design/exchange/wif-design.ts';
import { writeDesignText } from '../../core/design/read-design.ts';
import { attempt } from '../../wording/attempt.ts';
import { useDesign } from '../state/bench-store.ts';
import { type SendFile, useSend } from './send-store.ts';

const WRITERS: Readonly<Partial<Record<SendFile, (design: Design) => string>>> = {
  txt: designToText,
  csv: designToCsv,
  wif: designToWif,
  json: writeDesignText,
};

/** Most characters of a file that are shown. */
const SHOWN = 20_000;

/** A file of text as it will be sent. */
export function FileText() {
  const design = useDesign();
  const { file } = useSend();
  const written = attempt(() => WRITERS[file]?.(design) ?? '');
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
