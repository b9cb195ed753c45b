/** A mark in small, line by line as it is struck. */
export function Struck({ lines }: { lines: string[] }) {
  return (
    <p className="grow text-center font-steel text-[0.78125rem]/[1.0625rem] tracking-wide">
      {lines.map((line) => (
        <span key={line} className="block break-words">
          {line}
        </span>
      ))}
    </p>
  );
}
