/** How long the bar is at the most, in CSS pixels, and round lengths that it may have in each ten. */
const LONGEST = 150;
const ROUND = [5, 2, 1] as const;

/** A ruler of a round length, to measure the drawing by. */
export function ScaleBar({ perMillimetre }: { perMillimetre: number }) {
  const length = roundLength(LONGEST / perMillimetre);
  const width = length * perMillimetre;
  return (
    <figure
      aria-label={`Ruler of ${lengthName(length)}`}
      className="pointer-events-none absolute bottom-3 left-4 m-0 rounded bg-paper/85 px-2 py-1"
    >
      <svg aria-hidden="true" width={width + 2} height={9} className="block stroke-ink" fill="none">
        <path d={`M1 8V1M1 8H${width + 1}M${width + 1} 8V1`} strokeWidth={1.4} />
        <path d={tenths(width)} strokeWidth={0.9} />
      </svg>
      <figcaption className="numbers flex justify-between text-[11.5px] text-ash">
        <span>0</span>
        <span>{lengthName(length)}</span>
      </figcaption>
    </figure>
  );
}

/** The greatest of 1, 2, 5 and tens of them that is no longer than a length. */
function roundLength(most: number): number {
  const ten = 10 ** Math.floor(Math.log10(most));
  return ten * (ROUND.find((each) => each * ten <= most) ?? 1);
}

function tenths(width: number): string {
  return [1, 2, 3, 4, 5, 6, 7, 8, 9]
    .map((tenth) => `M${1 + (width * tenth) / 10} 8V${tenth === 5 ? 3 : 5}`)
    .join('');
}

function lengthName(millimetres: number): string {
  return millimetres >= 1000 ? `${millimetres / 1000} m` : `${Number(millimetres.toPrecision(2))} mm`;
}
