/** The Vetro mark: four quarter-tiles making one whole. */
export function Mark({ size = 24 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 24 24" aria-hidden="true">
      <path d="M11.4 1v10.4H1A10.4 10.4 0 0 1 11.4 1z" fill="#2C5F7C" />
      <path d="M12.6 1A10.4 10.4 0 0 1 23 11.4H12.6z" fill="#B98412" />
      <path d="M1 12.6h10.4V23A10.4 10.4 0 0 1 1 12.6z" fill="#2E7D68" />
      <path d="M23 12.6A10.4 10.4 0 0 1 12.6 23V12.6z" fill="#B0442F" />
    </svg>
  );
}
