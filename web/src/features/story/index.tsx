import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { api } from "../../api/client";
import { isPaper } from "../../api/papers";
import type { Book, SavedKnife, StoryTold, Verdict } from "../../api/types";
import { money, percent, titleBy, years } from "../../format";
import { useKeys } from "../../keys";
import { usePreferences } from "../../preferences";
import { BackOrPrint } from "../../ui/back-or-print";
import { Failed } from "../../ui/failed";
import { Page, PageHead } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";
import { SavePaper } from "../../ui/save-paper";
import { KnifeDrawn } from "../sheet/knife-drawn";
import { StoryAxis } from "./axis";
import { FromLedger } from "./from-ledger";
import { HeldAgainst } from "./held";
import { useStory } from "./use-story";

/** Where one knife has been, on a page to print: each link with its source and how sure it is. */
export function ProvenanceSheet({ book }: { book: Book }) {
  const { id = "" } = useParams();
  const knife = useQuery({ queryKey: ["knife", id], queryFn: () => api.knife(id), staleTime: 0, gcTime: 0 });
  const specimen = knife.data?.specimen;
  const verdict = useQuery({
    queryKey: ["verdict", id, knife.data?.version],
    queryFn: () => api.examine({ specimen: specimen as SavedKnife["specimen"], without: [] }),
    enabled: specimen !== undefined,
  });
  const story = useStory(specimen);
  const failed = [knife, verdict, story].find((q) => q.isError);
  if (failed)
    return (
      <Failed
        what="The provenance sheet could not be made."
        error={failed.error as Error}
        onAgain={() => failed.refetch()}
      />
    );
  if (!knife.data || !verdict.data || !story.data)
    return <p className="voice p-6 text-ink3">Working it out.</p>;
  return <Sheet knife={knife.data} verdict={verdict.data} story={story.data} book={book} />;
}

interface Of {
  knife: SavedKnife;
  verdict: Verdict;
  story: StoryTold;
  book: Book;
}

function Sheet({ knife, verdict, story, book }: Of) {
  const { school } = usePreferences();
  const navigate = useNavigate();
  const bench = `/bench/${knife.id}?at=story`;
  const name = titleBy(school, verdict.pattern);
  const [vague, setVague] = useState(false);
  useKeys({ escape: () => navigate(bench), p: () => window.print() });
  usePageTitle(`Provenance of ${knife.specimen.title ?? name}`);
  return (
    <Page isSheet>
      <PageHead title="Provenance" about={<Which knife={knife} name={name} />}>
        <BackOrPrint bench={bench} />
      </PageHead>
      <KnifeAndAxis verdict={verdict} story={story} book={book} name={name} />
      {story.questions.length > 0 && (
        <ul aria-label="To ask again" className="mt-2 text-lead">
          {story.questions.map((q) => (
            <li key={q.text}>{q.text}</li>
          ))}
        </ul>
      )}
      {story.links.some((l) => l.vaguely) && (
        <label className="no-print mt-3 flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4"
            checked={vague}
            onChange={(e) => setVague(e.target.checked)}
          />
          Keep vague where it was found, for others to read
        </label>
      )}
      <Links knife={knife} story={story} book={book} vague={vague} />
      <FromLedger knife={knife.id} />
      <Caution />
    </Page>
  );
}

function Which({ knife, name }: { knife: SavedKnife; name: string }) {
  return (
    <>
      <span className="num">{knife.number}</span> {knife.specimen.title ?? name}, {name.toLowerCase()}.{" "}
      {new Date().toLocaleDateString(undefined, { dateStyle: "long" })}
    </>
  );
}

function KnifeAndAxis({ verdict, story, book, name }: Omit<Of, "knife"> & { name: string }) {
  const { opinion } = verdict.dating;
  return (
    <div className="mt-2 grid gap-x-8 gap-y-3 md:grid-cols-[minmax(0,1fr)_minmax(0,2fr)] print:grid-cols-[minmax(0,1fr)_minmax(0,2fr)]">
      <div className="min-w-0">
        <KnifeDrawn sketch={verdict.sketch} book={book} label={name} />
        <p className="mt-1 font-serif text-[1.0625rem]/6">{opinion.headline}</p>
        <p className="num text-blue">
          {years(opinion.years)}
          {opinion.held !== undefined && <span className="text-ink2">, {percent(opinion.held)}%</span>}
        </p>
      </div>
      <div className="min-w-0">
        <StoryAxis story={story} />
      </div>
    </div>
  );
}

function Caution() {
  return (
    <p className="mt-3 border-t border-rule pt-1 text-[0.78125rem]/4 text-ink2">
      What is told is given as it was told. How far a link is so is an opinion from what the knife shows and
      who says it; it proves no title. Where law, tax or export ask for proof, ask someone licensed.
    </p>
  );
}

/** The paper that says so, as it lies among the photographs: whole on a click, or by name where it came as a file. */
function Paper({ photo, of }: { photo: string; of: number }) {
  const [isGone, setGone] = useState(false);
  const { id = "" } = useParams();
  const photos = useQuery({ queryKey: ["photos", id], queryFn: () => api.photos(id), enabled: id !== "" });
  const asFile = photos.data?.find((p) => p.id === photo && isPaper(p));
  if (asFile) return <SavePaper paper={asFile} />;
  if (isGone) return <p className="voice text-ink3">Its paper is no longer among the photographs.</p>;
  return (
    <a href={`/api/photos/${photo}/original`} target="_blank" rel="noreferrer" className="inline-block">
      <img
        src={`/api/photos/${photo}/view`}
        alt={`The paper that says so, link ${of}`}
        className="mt-1 max-h-40 max-w-full border border-edge"
        onError={() => setGone(true)}
      />
    </a>
  );
}

/** A line with its full stop, but where letters that were cut or a name end in one. */
const closed = (line: string) => (/\.\u201d?$/.test(line) ? line : `${line}.`);

function Links({ knife, story, book, vague }: Omit<Of, "verdict"> & { vague: boolean }) {
  if (knife.specimen.story.length === 0)
    return <p className="voice mt-3 text-ink3">Nothing is known yet of where it has been.</p>;
  const told = knife.specimen.story.map((e, i) => {
    const vaguely = vague && story.links[i]?.vaguely;
    return vaguely ? { ...e, place: vaguely.place, note: undefined, document: undefined } : e;
  });
  return (
    <ol aria-label="Links" className="mt-3 border-t border-ink">
      {told.map((e, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: an event is known by its place
        <li key={i} className="grid gap-x-6 border-b border-rule py-1 sm:grid-cols-2 print:grid-cols-2">
          <OneLink event={e} place={i + 1} when={story.links[i]?.when} book={book} />
          <div className="min-w-0 text-[0.84375rem]/5">
            <HeldAgainst link={story.links[i]} />
          </div>
        </li>
      ))}
    </ol>
  );
}

const labelOf = (choices: { id: string; label: string }[], id: string) =>
  choices.find((c) => c.id === id)?.label ?? id;

function OneLink({
  event: e,
  place,
  when,
  book,
}: {
  event: SavedKnife["specimen"]["story"][number];
  place: number;
  when: string | undefined;
  book: Book;
}) {
  const paid = e.price !== undefined && e.currency && money(e.price, e.currency);
  const more = [e.letters && `\u201c${e.letters}\u201d`, e.holder, e.place, paid].filter(Boolean);
  const says = [labelOf(book.choices.source, e.source), e.teller && `told by ${e.teller}`].filter(Boolean);
  return (
    <div className="min-w-0">
      <p>
        <span className="num text-ink2">{place}</span> {labelOf(book.choices.story, e.kind)}
        {when && <span className="num">, {when}</span>}
        {closed(more.map((w) => `, ${w}`).join(""))}
      </p>
      <p className="text-ink2">
        {closed(says.join(", "))}
        {e.note && ` ${e.note}`}
      </p>
      {e.document && <Paper photo={e.document} of={place} />}
    </div>
  );
}
