import { useRef, useState } from 'react';
import { toast } from 'sonner';
import { isUnderWay, type Job } from '../../contracts/job.ts';
import { pixelOf } from '../../core/design/lay/lay-schema.ts';
import { parseClothLength } from '../../core/print/cloth-length.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { JobProgress } from '../../kit/jobs/job-progress.tsx';
import { stopJob } from '../../kit/jobs/job-requests.ts';
import { askedWords, jobWords } from '../../wording/job-words.ts';
import { clockText, lengthText } from '../../wording/measures.ts';
import { useDesign } from '../state/bench-store.ts';
import { order } from './send-file.ts';
import { useSend } from './send-store.ts';
import { cameBack, useFollowedPrints, usePrinted } from './use-printed.ts';

/** Orders that are listed here; all of them are on the page Sent. */
const LISTED = 3;

/** Has the design printed at the print house: what is asked for, and how what was ordered stands. */
export function PrintOrders() {
  const { resolution } = useDesign();
  const { clothLength, strikeOff } = useSend();
  const { house, orders } = usePrinted();
  const ask = useFollowedPrints();
  const [mistaken, setMistaken] = useState(false);
  // No state: a button that is disabled under a hand loses the focus.
  const asking = useRef(false);
  const newest = useRef<HTMLDivElement>(null);
  const came = cameBack(orders);
  const begin = async (kind: 'strike-off' | 'run') => {
    if (asking.current) return;
    asking.current = true;
    if (await order(kind)) {
      await ask();
      newest.current?.scrollIntoView({ block: 'nearest' });
    }
    asking.current = false;
  };
  const closed = house?.answers !== true || mistaken;
  return (
    <section aria-label="At the print house" className="flex flex-col gap-3 border-rule border-t pt-3">
      <h3 className="font-semibold text-[15px]">At the print house</h3>
      {came !== undefined && (
        <Choice
          label="Shown beside the design"
          value={strikeOff}
          options={[
            { value: 'foreseen', text: 'As foreseen' },
            { value: 'came', text: `As it came, ${clockText(came.madeAt, new Date(came.madeAt))}` },
          ]}
          onChange={(next) => useSend.setState({ strikeOff: next })}
        />
      )}
      <NumberField
        label="Length of cloth"
        text={clothLength}
        resolve={(text) => `${lengthText(parseClothLength(text, pixelOf(resolution)), 'mm')} mm`}
        onChange={(length) => useSend.setState({ clothLength: length })}
        onMistake={setMistaken}
      />
      <div className="flex flex-wrap gap-2">
        <button type="button" className="button" disabled={closed} onClick={() => void begin('strike-off')}>
          Order a strike-off
        </button>
        <button type="button" className="button" disabled={closed} onClick={() => void begin('run')}>
          Order this length
        </button>
      </div>
      {house?.answers === false && (
        <p className="hint">
          No print house answers at {house.address}. To try one on this machine:{' '}
          <code>npx vetro print-house</code>
        </p>
      )}
      {/* What stays at the foot of the panel does not cover the newest order. */}
      <div ref={newest} className="flex scroll-mb-44 flex-col gap-3">
        {orders.slice(0, LISTED).map((each) => (
          <PrintOrderRow key={each.id} job={each} onStopped={ask} />
        ))}
      </div>
    </section>
  );
}

function PrintOrderRow({ job, onStopped }: { job: Job; onStopped: () => Promise<void> }) {
  return (
    <div className="flex items-start gap-3 text-[13px]">
      <div className="min-w-0 flex-1">
        <div className="text-ash">{askedWords(job)}</div>
        {isUnderWay(job) ? (
          <JobProgress job={job} />
        ) : (
          <span className={job.state === 'failed' ? 'text-madder' : ''}>{jobWords(job, Date.now())}</span>
        )}
      </div>
      {isUnderWay(job) && (
        <button
          type="button"
          className="button"
          onClick={() =>
            void stopJob(job)
              .catch((error: Error) => toast.error(error.message))
              .then(onStopped)
          }
        >
          Call it off
        </button>
      )}
    </div>
  );
}
