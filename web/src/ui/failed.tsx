/** Something that could not be fetched, and the way to ask for it again. */
export function Failed({ what, error, onAgain }: { what: string; error: Error; onAgain: () => void }) {
  return (
    <p role="alert" className="px-6 py-4 text-lead">
      {what} {error.message}{" "}
      <button type="button" className="underline" onClick={onAgain}>
        Try again
      </button>
    </p>
  );
}
