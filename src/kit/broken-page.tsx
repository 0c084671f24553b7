/** Shown where a whole island broke. */
export function BrokenPage({ again }: { again: () => void }) {
  return (
    <div role="alert" className="mx-auto mt-20 max-w-[520px] rounded-card bg-paper p-8 shadow-xl">
      <h1 className="mb-2 text-[22px]">This could not be shown</h1>
      <p className="mb-5">
        Something went wrong in Vetro itself. What was saved is safe, and what was not is kept in this
        browser.
      </p>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="button button-go" onClick={again}>
          Try again
        </button>
        <a href="/" className="button no-underline">
          Go to the shelf
        </a>
      </div>
    </div>
  );
}
