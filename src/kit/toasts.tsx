import { Toaster } from 'sonner';

/** Where short notes appear, in the type and the colours of the page. */
export function Toasts() {
  return (
    <Toaster
      position="bottom-left"
      style={{ fontFamily: 'inherit' }}
      toastOptions={{
        style: { borderColor: 'var(--color-rule)', color: 'var(--color-ink)' },
        actionButtonStyle: { background: 'var(--color-woad)' },
      }}
    />
  );
}
