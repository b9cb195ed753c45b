import type { StoryTold } from "../../api/types";

type Link = StoryTold["links"][number];

/** One link held against the knife: how far it is so and, where that is doubted, how both can be. */
export function HeldAgainst({ link }: { link: Link | undefined }) {
  if (!link) return null;
  return (
    <div className={link.doubted ? "border-l-2 border-lead pl-2" : undefined}>
      <p className={link.doubted ? "text-lead" : undefined}>
        {link.text}
        {link.with.length > 0 && ` One witness with event ${link.with.map((i) => i + 1).join(", ")}.`}
      </p>
      {link.letters && <p>{link.letters}</p>}
      {link.ways.length > 0 && (
        <ul aria-label="How both can be">
          {link.ways.map((w) => (
            <li key={w.text}>{w.text}</li>
          ))}
        </ul>
      )}
    </div>
  );
}
