import { Eye } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { PROOFS } from '../../core/colour/proof.ts';
import { inThreads, wovenOf } from '../../core/design/design-facts.ts';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { Slider } from '../../kit/fields/slider.tsx';
import { CalibrateDialog } from '../cloth/calibrate-dialog.tsx';
import { zoomToPixels, zoomToThree, zoomToTrueSize } from '../cloth/cloth-actions.ts';
import { CLOTH_LOOKS, type ClothLook, useCloth } from '../cloth/cloth-store.ts';
import { useDesign } from '../state/bench-store.ts';
import { PROOF_NAMES } from './proof-names.ts';

const LOOK_NAMES: Readonly<Record<ClothLook, string>> = {
  auto: 'Flat from afar, threads close up',
  flat: 'Flat, for exact work',
  threads: 'As threads, also from afar',
  finished: 'As finished cloth',
};

/** "the upper left (135°)". */
function lightText(degrees: number): string {
  const sides = ['right', 'upper right', 'top', 'upper left', 'left', 'lower left', 'bottom', 'lower right'];
  return `the ${sides[Math.round(degrees / 45) % 8]} (${degrees}°)`;
}

/** Ways to look at the cloth, each with its key. */
export function ViewControls() {
  const design = useDesign();
  const woven = wovenOf(design) !== undefined;
  const { outlineRepeat, outlineUnit, outlineLattice, fade, ticket, proof, behind, look, light, yarnThick } =
    useCloth();
  const [calibrating, setCalibrating] = useState(false);
  return (
    <>
      <Popover.Root>
        <Popover.Trigger className="button button-plain font-text">
          <Eye size={16} aria-hidden="true" /> View
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            side="top"
            align="end"
            sideOffset={8}
            aria-label="View"
            className="z-40 flex w-64 flex-col gap-1 rounded-card border border-rule bg-paper p-3 shadow-xl"
          >
            <ViewButton text="True size" hint="0" onClick={zoomToTrueSize} />
            <ViewButton
              text={inThreads(design) ? 'One thread a pixel' : 'One pixel of the file a pixel'}
              hint="1"
              onClick={zoomToPixels}
            />
            <ViewButton text="Three repeats" hint="2" onClick={zoomToThree} />
            <hr className="my-1 border-rule" />
            <Toggle
              text="Outline the repeat"
              hint="R"
              on={outlineRepeat}
              onChange={(on) => useCloth.setState({ outlineRepeat: on })}
            />
            <Toggle
              text="Outline the unit"
              hint="U"
              on={outlineUnit}
              onChange={(on) => useCloth.setState({ outlineUnit: on })}
            />
            <Toggle
              text="Mark the lattice"
              hint="L"
              on={outlineLattice}
              onChange={(on) => useCloth.setState({ outlineLattice: on })}
            />
            <Toggle
              text="Pin the ticket"
              hint="T"
              on={ticket}
              onChange={(on) => useCloth.setState({ ticket: on })}
            />
            {woven && (
              <Toggle
                text="From behind"
                hint="B"
                on={behind}
                onChange={(on) => useCloth.setState({ behind: on })}
              />
            )}
            <div className="mt-1 px-2">
              <Slider
                label="Fade the repeats around"
                value={fade}
                range={[0, 0.9]}
                step={0.05}
                onChange={(by) => useCloth.setState({ fade: by })}
              />
            </div>
            <div className="mt-1 px-2">
              <SelectField
                label="Colour vision"
                value={proof}
                options={PROOFS.map((each) => ({ value: each, text: PROOF_NAMES[each] }))}
                onChange={(seen) => useCloth.setState({ proof: seen })}
              />
            </div>
            {woven && (
              <>
                <div className="mt-1 px-2">
                  <SelectField
                    label="Drawn"
                    value={look}
                    options={CLOTH_LOOKS.map((each) => ({ value: each, text: LOOK_NAMES[each] }))}
                    onChange={(drawn) => useCloth.setState({ look: drawn })}
                  />
                </div>
                <div className="mt-1 px-2">
                  <Slider
                    label={`Light from ${lightText(light)}`}
                    value={light}
                    range={[0, 345]}
                    step={15}
                    disabled={look === 'flat'}
                    onChange={(from) => useCloth.setState({ light: from })}
                  />
                </div>
                <Toggle
                  text="Threads as thick as their yarn"
                  hint=""
                  on={yarnThick}
                  onChange={(on) => useCloth.setState({ yarnThick: on })}
                />
              </>
            )}
            <hr className="my-1 border-rule" />
            <ViewButton text="Calibrate this monitor…" hint="" onClick={() => setCalibrating(true)} />
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
      <CalibrateDialog open={calibrating} onOpenChange={setCalibrating} />
    </>
  );
}

function ViewButton({ text, hint, onClick }: { text: string; hint: string; onClick: () => void }) {
  return (
    <button
      type="button"
      className="flex justify-between rounded px-2 py-1 text-left hover:bg-linen"
      onClick={onClick}
    >
      {text} <kbd className="numbers text-ash">{hint}</kbd>
    </button>
  );
}

interface ToggleProps {
  readonly text: string;
  readonly hint: string;
  readonly on: boolean;
  readonly onChange: (on: boolean) => void;
}

function Toggle({ text, hint, on, onChange }: ToggleProps) {
  return (
    <label className="flex cursor-pointer items-center gap-2 rounded px-2 py-1 hover:bg-linen">
      <input
        type="checkbox"
        className="accent-woad"
        checked={on}
        onChange={(event) => onChange(event.target.checked)}
      />
      <span className="flex-1">{text}</span>
      <kbd className="numbers text-ash">{hint}</kbd>
    </label>
  );
}
