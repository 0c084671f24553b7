import type { ClipboardEvent } from 'react';
import { toast } from 'sonner';
import { readMotifText } from '../../core/design/motif/text/read-motif-text.ts';
import { asKind } from '../../core/design/of-kind.ts';
import { attempt } from '../../wording/attempt.ts';
import { benchState, dispatch } from '../state/bench-store.ts';
import { useMotif } from './motif-store.ts';
import { copyPieces, withPasted } from './paste-pieces.ts';
import { piecesNow } from './put-motif.ts';

/** Copies the chosen pieces as text, and takes pieces that are pasted, from this design or another. */
export function useClipboard() {
  return {
    onCopy: (event: ClipboardEvent) => {
      const { chosen } = useMotif.getState();
      if (chosen.length === 0 || isTyping(event)) return;
      event.preventDefault();
      event.clipboardData.setData('text/plain', copyPieces(piecesNow(), chosen));
    },
    onPaste: (event: ClipboardEvent) => {
      if (isTyping(event)) return;
      event.preventDefault();
      pasteText(event.clipboardData.getData('text/plain'));
    },
  };
}

function isTyping({ target }: ClipboardEvent): boolean {
  return target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
}

function pasteText(text: string): void {
  const read = attempt(() => readMotifText(text));
  if ('problem' in read) {
    toast.error(`That is no text of pieces. ${read.problem}`);
    return;
  }
  const { design, ids } = withPasted(asKind('motif', benchState().history.present), read.value.motif);
  dispatch({ kind: 'edit', edit: () => design });
  useMotif.setState({ chosen: ids, added: undefined });
}
