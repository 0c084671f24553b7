import type { ReactNode } from 'react';

interface BrokenPartProps {
  /** What is kept all the same. */
  readonly words: string;
  readonly again: () => void;
  /** What is offered before trying again. */
  readonly children?: ReactNode;
}

/** Shown in the place of what broke. */
export function BrokenPart({ words, again, children }: BrokenPartProps) {
  return (
    <div role="alert" className="mx-auto mt-20 max-w-[520px] rounded-card bg-paper p-8 shadow-xl">
      <h1 className="mb-2 text-[22px]">This could not be shown</h1>
      <p className="mb-5">Something went wrong in Vetro itself. {words}</p>
      <div className="flex flex-wrap gap-2">
        {children}
        <button type="button" className="button" onClick={again}>
          Try again
        </button>
        <a href="/" className="button no-underline">
          Go to the shelf
        </a>
      </div>
    </div>
  );
}

/** Shown in the place of a whole island. */
export function BrokenPage({ again }: { again: () => void }) {
  return (
    <BrokenPart words="What was saved is safe, and what was not is kept in this browser." again={again} />
  );
}
