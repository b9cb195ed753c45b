/** What worn letters and words are taken for when marks are read; a pack can say it otherwise. */
export function Letters({
  confusions,
  spellings,
}: {
  confusions: Record<string, string>;
  spellings: string[][];
}) {
  return (
    <details className="mt-4 border-t border-rule pt-2">
      <summary className="min-h-6 cursor-pointer">Letters and words taken for one another</summary>
      <p className="mt-1 text-ink2">
        Before the arrow what is on the steel, after it what a worn one is taken for. A pack changes it with{" "}
        <code className="font-steel">confusions</code> and <code className="font-steel">spellings</code>.
      </p>
      <ul className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(6rem,1fr))] gap-x-3 font-steel">
        {Object.entries(confusions).map(([letter, taken]) => (
          <li key={letter} className="border-b border-rule">
            {letter} <span className="text-ink3">{"\u2192"}</span> {[...taken].join(" ")}
          </li>
        ))}
      </ul>
      <ul className="mt-2">
        {spellings.map((words) => (
          <li key={words.join(" ")} className="border-b border-rule font-steel">
            {words.join(" = ")}
          </li>
        ))}
      </ul>
    </details>
  );
}
