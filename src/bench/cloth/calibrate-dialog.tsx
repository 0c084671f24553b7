import { useState } from 'react';
import { Dialog } from '../../kit/dialog.tsx';
import { zoomToTrueSize } from './cloth-actions.ts';
import { calibrate, calibration, NOMINAL_PIXELS_PER_MM } from './cloth-store.ts';

/** A bank card in millimetres. Source: ISO/IEC 7810:2019, ID-1. */
const CARD = { width: 85.6, height: 53.98 } as const;

/** Measures the monitor once against a bank card, so that true size is true. */
export function CalibrateDialog({
  open,
  onOpenChange,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  const [pixels, setPixels] = useState(() => calibration() ?? NOMINAL_PIXELS_PER_MM);
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Measure this monitor" wide>
      <p className="mb-3 text-ash">
        Hold a bank card, or a ruler, against the card drawn here and draw the slider until both are the same
        width.
      </p>
      <div
        className="grid place-items-center rounded-xl border-2 border-woad bg-woad-pale text-woad"
        style={{ width: CARD.width * pixels, height: CARD.height * pixels }}
      >
        <span className="numbers">85.6 mm</span>
      </div>
      <label className="label mt-4">
        Width of the card
        <input
          type="range"
          min={2}
          max={9}
          step={0.01}
          value={pixels}
          className="w-full accent-woad"
          onChange={(event) => setPixels(Number(event.target.value))}
        />
      </label>
      <div className="mt-4 flex justify-end gap-2">
        <button type="button" className="button" onClick={() => onOpenChange(false)}>
          Cancel
        </button>
        <button
          type="button"
          className="button button-go"
          onClick={() => {
            calibrate(pixels);
            onOpenChange(false);
            zoomToTrueSize();
          }}
        >
          Same width: use it
        </button>
      </div>
    </Dialog>
  );
}
