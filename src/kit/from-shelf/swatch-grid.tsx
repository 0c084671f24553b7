import type { Summary } from '../../contracts/shelf.ts';
import { usePixelRatio } from '../use-pixel-ratio.ts';

/** A swatch's size in CSS pixels. */
const SWATCH = { width: 96, height: 64 } as const;

interface SwatchGridProps {
  readonly label: string;
  readonly designs: readonly Summary[];
  readonly isChosen: (id: string) => boolean;
  readonly onChoose: (id: string) => void;
  /** How high it may be, as a class. */
  readonly height: string;
}

/** Designs of the shelf as small swatches, to be chosen. */
export function SwatchGrid({ label, designs, isChosen, onChoose, height }: SwatchGridProps) {
  return (
    <fieldset
      aria-label={label}
      className={`m-0 grid ${height} grid-cols-[repeat(auto-fill,minmax(108px,1fr))] content-start gap-1 overflow-y-auto border-0 p-0`}
    >
      {designs.map((design) => (
        <SmallSwatch
          key={design.id}
          design={design}
          chosen={isChosen(design.id)}
          onChoose={() => onChoose(design.id)}
        />
      ))}
    </fieldset>
  );
}

interface SmallSwatchProps {
  readonly design: Summary;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}

function SmallSwatch({ design: { id, name, version }, chosen, onChoose }: SmallSwatchProps) {
  const times = Math.min(4, Math.ceil(usePixelRatio()));
  const { width, height } = SWATCH;
  return (
    <button
      type="button"
      aria-pressed={chosen}
      className={`flex flex-col items-start rounded-lg p-1.5 text-left text-[12px] leading-tight hover:bg-linen ${chosen ? 'bg-woad-pale font-semibold text-woad' : ''}`}
      onClick={onChoose}
    >
      <img
        src={`/api/designs/${id}/files/swatch.png?across=${width}&down=${height}&times=${times}&v=${version}`}
        alt=""
        width={width}
        height={height}
        loading="lazy"
        className="pinked block"
      />
      <span className="mt-1 line-clamp-2">{name}</span>
    </button>
  );
}
