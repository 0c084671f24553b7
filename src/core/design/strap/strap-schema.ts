import { z } from 'zod';
import { SHADE_KEY } from '../../colour/shade.ts';
import { MAX_CELLS } from '../../shape/straps/solve-order.ts';

const shadeKey = z.string().regex(SHADE_KEY);

/** Most lines along a strap, and most shading lines to a side. */
export const MAX_EDGES = 6;
export const MAX_DIPS = 24;

/** Lengths as a construction types them. */
interface TypedLengths {
  readonly size: z.ZodType<string>;
  readonly sizeOrNone: z.ZodType<string>;
}

/** What makes a line with a width a strap. */
export function strapSchema({ size, sizeOrNone }: TypedLengths) {
  return z.strictObject({
    /** What is left free beside a strap that goes over it. */
    gap: sizeOrNone,
    /** Lines along both sides, so far from the edges. */
    edges: z.array(z.strictObject({ inset: sizeOrNone, width: size, shade: shadeKey })).max(MAX_EDGES),
    /** A line along its middle. */
    centre: z
      .strictObject({
        width: size,
        shade: shadeKey,
        dashes: z.strictObject({ length: size, gap: size }).nullable(),
      })
      .nullable(),
    /** Where it goes under, to both sides: lines, or a shade that goes over into its own. */
    dip: z
      .discriminatedUnion('kind', [
        z.strictObject({
          kind: z.literal('lines'),
          count: z.int().min(1).max(MAX_DIPS),
          length: size,
          apart: sizeOrNone,
          width: size,
          taper: z.boolean(),
          shade: shadeKey,
        }),
        z.strictObject({ kind: z.literal('shade'), length: size, shade: shadeKey }),
      ])
      .nullable(),
  });
}

export type StrapSpec = z.infer<ReturnType<typeof strapSchema>>;

const threads = z.int().min(1).max(7);

/** Most crossings that are turned by hand. */
const MAX_TURNED = 2_000;

/** Which strap goes over which. */
export const strapsSchema = z.strictObject({
  order: z.discriminatedUnion('by', [
    z.strictObject({ by: z.literal('turns') }),
    z.strictObject({ by: z.literal('family') }),
    z.strictObject({
      by: z.literal('twill'),
      over: threads,
      under: threads,
      climbs: z.enum(['right', 'left']),
    }),
    z.strictObject({ by: z.literal('basket'), straps: z.int().min(2).max(4) }),
  ]),
  /** Whether every strap goes where the other would. */
  swapped: z.boolean(),
  /** So many boxes repeat together: (across, 0) and (shift, up) of their lattice. */
  cells: z
    .strictObject({
      across: z.int().min(1).max(MAX_CELLS),
      shift: z
        .int()
        .min(0)
        .max(MAX_CELLS - 1),
      up: z.int().min(1).max(MAX_CELLS),
    })
    .refine(({ across, shift, up }) => shift < across && across * up <= MAX_CELLS),
  /** Crossings where the strap that would go under goes over: of a line of a piece, counted along its strap. */
  turned: z
    .array(
      z.strictObject({
        piece: z.int().min(0).max(1_000_000),
        line: z.int().min(0).max(100_000),
        pass: z.int().min(0).max(100_000),
        cell: z
          .int()
          .min(0)
          .max(MAX_CELLS - 1),
      }),
    )
    .max(MAX_TURNED),
});

export type Straps = z.infer<typeof strapsSchema>;

/** In turn, in one box or cell. */
export const IN_TURN: Pick<Straps, 'order' | 'cells'> = {
  order: { by: 'turns' },
  cells: { across: 1, shift: 0, up: 1 },
};

export const USUAL_STRAPS: Straps = {
  order: IN_TURN.order,
  swapped: false,
  cells: IN_TURN.cells,
  turned: [],
};
