import { useEffect, useMemo, useRef, useState } from 'react';
import type { Design } from '../../core/design/design-schema.ts';
import { isSameLay, LAY_OFFERS, type LayOffers } from '../../core/design/lay/lay-offers.ts';
import type { Arrangement } from '../../core/design/lay/lay-schema.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { usePixelRatio } from '../../kit/use-pixel-ratio.ts';
import { layText, OFFER_NAMES } from '../../wording/lay-words.ts';
import { type LayThumbnail, useLayThumbnails } from './use-lay-thumbnails.ts';

/** CSS pixels of a thumbnail, and how many boxes it shows across. */
const WIDTH = 136;
const HEIGHT = 84;
const BOXES = 3;

interface LayCardsProps {
  readonly design: Design;
  /** Millimetres of a box across. */
  readonly boxWidth: number;
  readonly onChoose: (arrangement: Arrangement) => void;
}

/** Every lay as this design would look in it, with the repeat that it would have. */
export function LayCards({ design, boxWidth, onChoose }: LayCardsProps) {
  const ratio = usePixelRatio();
  const { name, number, notes, lay, ...seen } = design;
  const { arrangement, scale: _, slope: __, ...plain } = lay;
  // What is said of a design changes no thumbnail, nor does the lay that is chosen.
  const key = JSON.stringify({ ...seen, plain });
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key holds all of it that counts
  const built = useMemo(() => ({ ...design, lay: { ...lay, scale: null, slope: null } }), [key]);
  const [kind, setKind] = useState(() => kindOf(arrangement));
  const { lays } = LAY_OFFERS.find((each) => each.kind === kind)!;
  const thumbnails = useLayThumbnails({
    design: built,
    lays,
    room: { width: Math.round(WIDTH * ratio), height: Math.round(HEIGHT * ratio) },
    perMillimetre: (WIDTH * ratio) / (BOXES * boxWidth),
  });
  const cards = useRef<HTMLDivElement>(null);
  // What is chosen is in sight when its kind is shown.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the kind is what is waited for
  useEffect(() => {
    const chosen = cards.current?.querySelector<HTMLElement>('[aria-pressed="true"]');
    if (chosen) cards.current!.scrollTop = chosen.offsetTop;
  }, [kind]);
  return (
    <div className="flex flex-col gap-2">
      <Choice
        label="Set side by side"
        value={kind}
        options={LAY_OFFERS.map((each) => ({ value: each.kind, text: OFFER_NAMES[each.kind] }))}
        onChange={setKind}
      />
      <div
        ref={cards}
        className="-mx-1.5 relative grid max-h-[336px] grid-cols-2 gap-1 overflow-y-auto overflow-x-hidden"
      >
        {lays.map((each) => (
          <LayCard
            key={JSON.stringify(each)}
            lay={each}
            chosen={isSameLay(each, arrangement)}
            shown={thumbnails.get(each)}
            onChoose={onChoose}
          />
        ))}
      </div>
    </div>
  );
}

/** Among which lays one is found. */
function kindOf(arrangement: Arrangement): LayOffers['kind'] {
  const found = LAY_OFFERS.find(({ lays }) => lays.some((each) => isSameLay(each, arrangement)));
  return found?.kind ?? 'stepped';
}

interface LayCardProps {
  readonly lay: Arrangement;
  readonly chosen: boolean;
  readonly shown: LayThumbnail | undefined;
  readonly onChoose: (arrangement: Arrangement) => void;
}

function LayCard({ lay, chosen, shown, onChoose }: LayCardProps) {
  const problem = shown !== undefined && 'problem' in shown ? shown.problem : undefined;
  const isOpen = shown !== undefined && 'image' in shown && !shown.closes;
  return (
    <button
      type="button"
      aria-pressed={chosen}
      disabled={problem !== undefined && !chosen}
      title={problem}
      className={`flex min-w-0 flex-col gap-1 rounded-lg p-1.5 text-left text-[12.5px] leading-tight enabled:hover:bg-linen ${chosen ? 'bg-woad-pale font-semibold text-woad' : ''}`}
      onClick={() => onChoose(lay)}
    >
      <Thumbnail shown={shown} />
      <span>
        {layText(lay)} {lay.kind === 'group' && <span className="numbers text-ash">{lay.group}</span>}
      </span>
      {isOpen && <span className="text-madder">Open: threads are not whole</span>}
      {problem === undefined ? (
        <span className="numbers hint">{sizeLines(shown)}</span>
      ) : (
        <span className="hint">{problem}</span>
      )}
    </button>
  );
}

function sizeLines(shown: LayThumbnail | undefined): React.ReactNode {
  if (shown === undefined || 'problem' in shown) return '…';
  const { size, threads, pixels } = shown;
  const round = (value: number) => Number(value.toFixed(1));
  return (
    <>
      {threads !== undefined && (
        <>
          {threads.ends} × {threads.picks} threads
          <br />
        </>
      )}
      {round(size.width)} × {round(size.height)} mm
      {pixels !== undefined && (
        <>
          <br />
          {pixels.width} × {pixels.height} px
        </>
      )}
    </>
  );
}

function Thumbnail({ shown }: { readonly shown: LayThumbnail | undefined }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const image = shown !== undefined && 'image' in shown ? shown.image : undefined;
  useEffect(() => {
    const element = canvas.current;
    if (image === undefined || element === null) return;
    element.width = image.width;
    element.height = image.height;
    element.getContext('2d')!.drawImage(image, 0, 0);
  }, [image]);
  if (shown !== undefined && 'problem' in shown) return null;
  return (
    <canvas
      ref={canvas}
      aria-hidden="true"
      className="block w-full rounded border border-rule bg-linen"
      style={{ aspectRatio: `${WIDTH} / ${HEIGHT}` }}
    />
  );
}
