import { RadioGroup } from 'radix-ui';
import type { Design } from '../../core/design/design-schema.ts';
import type { SpecifiedPart } from '../../core/design/try-on/compile-try-on.ts';
import type { PartSpec } from '../../core/design/try-on/try-on-schema.ts';
import { tryOnOf } from './try-on-edits.ts';
import { choosePart } from './try-on-store.ts';

interface PartListProps {
  readonly design: Design;
  readonly parts: readonly SpecifiedPart[];
  readonly chosen: string | undefined;
}

/** The parts of a scene with their cloths; one of them is chosen, here or on the drawing. */
export function PartList({ design, parts, chosen }: PartListProps) {
  return (
    <RadioGroup.Root
      aria-label="Parts"
      value={chosen ?? ''}
      onValueChange={choosePart}
      className="flex flex-col border-rule border-t"
    >
      {parts.map(({ drawn: { part }, spec }) => (
        <RadioGroup.Item
          key={part.key}
          value={part.key}
          className="flex min-h-8 items-baseline justify-between gap-3 border-rule border-b px-1.5 py-1 text-left text-[13.5px] hover:bg-linen data-[state=checked]:bg-woad-pale data-[state=checked]:font-semibold data-[state=checked]:text-woad"
        >
          <span className="whitespace-nowrap">{part.name}</span>
          <span className="numbers truncate font-normal text-[12.5px] text-ash">
            {clothName(design, spec.cloth)}
          </span>
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}

/** What the cloth of a part is called. */
export function clothName(design: Design, cloth: PartSpec['cloth']): string {
  if (cloth === null) return 'bare';
  return cloth === 'design' ? design.name : (tryOnOf(design).cloths[cloth]?.design.name ?? '');
}
