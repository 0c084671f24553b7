import { useState } from 'react';
import type { Summary } from '../contracts/shelf.ts';
import { Dialog } from '../kit/dialog.tsx';

interface MoveDialogProps {
  readonly design: Summary;
  readonly ranges: readonly string[];
  readonly onMove: (range: string) => void;
  readonly onClose: () => void;
}

/** Hangs a design in another range: one of those there are, or a new one. */
export function MoveDialog({ design, ranges, onMove, onClose }: MoveDialogProps) {
  const [name, setName] = useState('');
  return (
    <Dialog open onOpenChange={onClose} title={`Move “${design.name}”`}>
      <div className="flex flex-col gap-1.5">
        {ranges.map((range) => (
          <button key={range} type="button" className="button justify-start" onClick={() => onMove(range)}>
            {range}
          </button>
        ))}
        <button type="button" className="button justify-start text-ash" onClick={() => onMove('')}>
          In no range
        </button>
      </div>
      <form
        className="mt-4 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() !== '') onMove(name.trim());
        }}
      >
        <label className="flex-1">
          <span className="label">Or a new range</span>
          <input
            className="field"
            value={name}
            maxLength={120}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <button type="submit" className="button button-go" disabled={name.trim() === ''}>
          Move
        </button>
      </form>
    </Dialog>
  );
}
