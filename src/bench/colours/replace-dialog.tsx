import type { Shade } from '../../core/colour/shade.ts';
import { Dialog } from '../../kit/dialog.tsx';
import { dispatch, useDesign } from '../state/bench-store.ts';
import { removeShade } from '../state/shade-edits.ts';

interface ReplaceDialogProps {
  readonly shade: Shade;
  readonly others: readonly Shade[];
  readonly onClose: () => void;
}

/** Asks which shade takes the place of one that is in use. */
export function ReplaceDialog({ shade, others, onClose }: ReplaceDialogProps) {
  const { name } = useDesign();
  return (
    <Dialog open onOpenChange={onClose} title={`${shade.name} is in use`}>
      <p className="mb-3 text-ash">Which shade of “{name}” takes its place?</p>
      <div className="flex flex-col gap-1.5">
        {others.map((other) => (
          <button
            key={other.key}
            type="button"
            className="button justify-start"
            onClick={() => {
              dispatch({ kind: 'edit', edit: removeShade(shade.key, other.key) });
              onClose();
            }}
          >
            <span className="chip" style={{ backgroundColor: other.hex }} />
            {other.name}
          </button>
        ))}
      </div>
    </Dialog>
  );
}
