import { z } from 'zod';
import { ARCHIMEDEAN, type Archimedean } from '../../tiling/forms/archimedean.ts';
import { TWO_KINDS, type TwoKinds } from '../../tiling/forms/two-kinds.ts';
import { GROWN_SIDES, MAX_GROWN } from '../../tiling/growth.ts';
import { FAMILIES, FAMILY_NUMBERS, type FamilyForm, type FamilyName } from './families.ts';

/** A face that was grown: on a side of an earlier face (null for the first), with sides of 1. */
const grownSchema = z.strictObject({
  on: z.strictObject({ face: z.int().min(0), side: z.int().min(0).max(11) }).nullable(),
  /** A regular polygon of so many sides, or a rhombus by its angle in steps of 15°. */
  shape: z.union([z.literal(GROWN_SIDES), z.strictObject({ angle: z.int().min(1).max(11) })]),
});

/** A family by its numbers, each as it is typed. */
const familySchemas = (Object.keys(FAMILIES) as FamilyName[]).map((kind) =>
  z.strictObject({
    kind: z.literal(kind),
    ...Object.fromEntries(
      Object.entries<keyof typeof FAMILY_NUMBERS>(FAMILIES[kind].numbers).map(([key, number]) => [
        key,
        FAMILY_NUMBERS[number].schema,
      ]),
    ),
  }),
);

/** Which tiling, as numbers. */
export type FormSpec =
  | { kind: 'regular'; name: Archimedean }
  | { kind: 'two-kinds'; name: TwoKinds }
  | FamilyForm
  | { kind: 'grown'; faces: z.infer<typeof grownSchema>[] };

export const formSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('regular'),
    name: z.enum(Object.keys(ARCHIMEDEAN) as [Archimedean, ...Archimedean[]]),
  }),
  z.strictObject({
    kind: z.literal('two-kinds'),
    name: z.enum(Object.keys(TWO_KINDS) as [TwoKinds, ...TwoKinds[]]),
  }),
  ...familySchemas,
  z.strictObject({ kind: z.literal('grown'), faces: z.array(grownSchema).min(1).max(MAX_GROWN) }),
]) as unknown as z.ZodType<FormSpec>;
