import { Dialog } from '../../kit/dialog.tsx';
import { KEYS } from './keys.ts';

/** The list of keys. */
export function KeysDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Keyboard shortcuts" wide>
      {/* In reach of a hand, and what the keyboard scrolls the list with. */}
      <button type="button" className="button absolute top-5 right-6" onClick={() => onOpenChange(false)}>
        Close
      </button>
      <div className="grid gap-x-8 gap-y-4 sm:grid-cols-2">
        {KEYS.map(({ where, keys }) => (
          <section key={where}>
            <h3 className="mb-1">{where}</h3>
            <dl className="m-0">
              {keys.map(({ keys: key, what }) => (
                <div key={key} className="flex gap-3 border-rule/60 border-b py-1">
                  <dt className="numbers w-[130px] flex-none">{key}</dt>
                  <dd className="m-0 text-[13px]">{what}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </Dialog>
  );
}
