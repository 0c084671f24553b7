import { type ReactNode, useState } from 'react';
import { type ByKind, KINDS } from '../core/design/constructions.ts';
import type { Design, DesignOf } from '../core/design/design-schema.ts';
import { Dialog } from '../kit/dialog.tsx';
import { Choice } from '../kit/fields/choice.tsx';
import { WORDS } from '../wording/construction-words.ts';
import { NewFromStart } from './new-from-start.tsx';
import { NewPlaid } from './new-plaid.tsx';
import { NewStripe } from './new-stripe.tsx';
import { NewTiling } from './new-tiling.tsx';
import type { NewFormProps } from './start-form.tsx';

/** Forms that take numbers too; what has none here begins with a start point alone. */
const FORMS: { readonly [K in keyof ByKind]?: (props: NewFormProps<DesignOf<ByKind[K]>>) => ReactNode } = {
  plaid: NewPlaid,
  stripe: NewStripe,
  tiling: NewTiling,
};

const CHOICES = (Object.keys(KINDS) as (keyof ByKind)[]).map((value) => ({
  value,
  text: WORDS[value].begun,
}));

interface NewDialogProps {
  /** The one that is offered first. */
  readonly kind: keyof ByKind;
  readonly onClose: () => void;
  readonly onMake: (design: Design) => void;
}

/** Begins a design of any construction. */
export function NewDialog({ kind: first, onClose, onMake }: NewDialogProps) {
  const [kind, setKind] = useState(first);
  return (
    <Dialog open onOpenChange={onClose} title="New design" wide>
      <div className="flex flex-col gap-4">
        <Choice label="Made of" hideLabel value={kind} options={CHOICES} onChange={setKind} />
        <NewForm kind={kind} onClose={onClose} onMake={onMake} />
      </div>
    </Dialog>
  );
}

function NewForm({ kind, ...ways }: NewDialogProps) {
  const Form = FORMS[kind] as ((props: NewFormProps<Design>) => ReactNode) | undefined;
  if (Form === undefined) return <NewFromStart key={kind} kind={kind} {...ways} />;
  return <Form {...ways} />;
}
