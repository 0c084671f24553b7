import { Eye } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { PROOFS, type Proof } from '../../core/colour/proof.ts';
import { inThreads, wovenOf } from '../../core/design/design-facts.ts';
import { pitchOf } from '../../core/design/lay.ts';
import { multiply, rational, toDecimal } from '../../core/exact/rational.ts';
import { parseResolution } from '../../core/units/resolution.ts';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { Slider } from '../../kit/fields/slider.tsx';
import { VerdictMark } from '../../kit/verdict-mark.tsx';
import { lengthText, sizeText } from '../../wording/measures.ts';
import { CalibrateDialog } from '../cloth/calibrate-dialog.tsx';
import { zoomToPixels, zoomToThree, zoomToTrueSize } from '../cloth/cloth-actions.ts';
import { CLOTH_LOOKS, type ClothLook, useCloth } from '../cloth/cloth-store.ts';
import { verdictOf } from '../state/bench-state.ts';
import { useBenchState, useDesign } from '../state/bench-store.ts';

/**
 * The one line under the cloth: repeat in threads, length and pixels, and the verdict.
 * @param looking  whether the cloth is in view, with its zoom to show and to set
 */
export function MeasureLine({ looking }: { looking: boolean }) {
  const design = useDesign();
  const repeat = useCloth((cloth) => cloth.repeat);
  const report = useBenchState((state) => state.report);
  const verdict = useBenchState(verdictOf);
  const perEnd = useCloth((cloth) => cloth.camera?.perEnd);
  const proof = useCloth((cloth) => cloth.proof);
  const behind = useCloth((cloth) => cloth.behind);
  const woven = wovenOf(design) !== undefined;
  const { lay } = design;
  const pitch = pitchOf(lay);
  const tile = report?.pixels.fits[0];
  return (
    <section
      aria-label="Measures"
      className="numbers flex min-w-0 items-center gap-4 whitespace-nowrap border-rule border-t bg-paper px-4"
    >
      <div className="flex min-w-0 flex-1 items-center gap-4 overflow-hidden">
        {repeat !== undefined && inThreads(design) && (
          <>
            <span>
              <span className="mr-1.5 font-text text-ash">Repeat</span>
              {repeat.ends} ends × {repeat.picks} picks
            </span>
            <span className="max-[1100px]:hidden">
              {lengthText(multiply(rational(repeat.ends), pitch.x), lay.unit)} ×{' '}
              {lengthText(multiply(rational(repeat.picks), pitch.y), lay.unit)} {lay.unit}
            </span>
          </>
        )}
        {report?.size && !inThreads(design) && (
          <span>
            <span className="mr-1.5 font-text text-ash">Repeat</span>
            {sizeText(report.size, lay.unit)}
          </span>
        )}
        {tile !== undefined && (
          <span>
            {tile.width} × {tile.height} px{' '}
            <span className="font-text text-ash">
              at {toDecimal(parseResolution(design.resolution), 2)} dpi
            </span>
          </span>
        )}
        <span aria-live="polite" className="font-text text-[14px]">
          {verdict !== undefined && <VerdictMark verdict={verdict} />}
        </span>
      </div>
      {looking && behind && woven && <span className="font-text text-weld">From behind</span>}
      {looking && proof !== 'none' && (
        <span className="font-text text-weld">Proof: {PROOF_NAMES[proof].toLowerCase()}</span>
      )}
      {looking && perEnd !== undefined && (
        <span className="text-ash max-[1180px]:hidden">
          {zoomText(perEnd, inThreads(design) ? 'thread' : 'mm')}
        </span>
      )}
      {looking && <ViewControls />}
    </section>
  );
}

function zoomText(perEnd: number, one: 'thread' | 'mm'): string {
  const pixels = perEnd * window.devicePixelRatio;
  return pixels >= 0.995
    ? `${Number(pixels.toFixed(2))} px a ${one}`
    : `1 px for ${Number((1 / pixels).toFixed(1))} ${one === 'mm' ? one : 'threads'}`;
}

const PROOF_NAMES: Readonly<Record<Proof, string>> = {
  none: 'As it is',
  grey: 'In greys',
  protan: 'Without red cones (protan)',
  deutan: 'Without green cones (deutan)',
  tritan: 'Without blue cones (tritan)',
};

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
function ViewControls() {
  const design = useDesign();
  const woven = wovenOf(design) !== undefined;
  const { outlineRepeat, outlineUnit, fade, ticket, proof, behind, look, light, yarnThick } = useCloth();
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
                label="Fade everything but the unit"
                value={fade}
                range={[0, 0.9]}
                step={0.05}
                onChange={(by) => useCloth.setState({ fade: by })}
              />
            </div>
            <div className="mt-1 px-2">
              <SelectField
                label="Seen"
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
            <ViewButton text="Measure this monitor…" hint="" onClick={() => setCalibrating(true)} />
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
