import { useEffect } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import type { Book } from "../../api/types";
import { useKeys } from "../../keys";
import { BackOrPrint } from "../../ui/back-or-print";
import { Page, PageHead } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";
import { LEAVES, type Leaf } from "./pages";

/** From a drawer of knives to a filed collection, in a few pages. */
export function HandbookPage({ book }: { book: Book }) {
  const { at, leaf, turn } = useLeaf();
  return (
    <Page>
      <PageHead title="The handbook">
        <BackOrPrint bench="/tray" to="To the tray" />
      </PageHead>
      <div className="mt-3 gap-x-10 lg:grid lg:grid-cols-[15rem_minmax(0,1fr)]">
        <Pages at={at} />
        <article aria-label={leaf.title} className="min-w-0">
          <div className="gap-x-10 xl:grid xl:grid-cols-[minmax(0,26rem)_minmax(0,1fr)]">
            <Words leaf={leaf} at={at} />
            {leaf.picture && (
              <figure className="mt-3 xl:mt-0">
                <img
                  src={leaf.picture.src}
                  alt={leaf.picture.says}
                  className="h-auto max-h-[36rem] w-auto max-w-full border border-rule"
                />
                <figcaption className="mt-1 text-[0.8125rem] text-ink2">{leaf.picture.says}.</figcaption>
              </figure>
            )}
          </div>
          <Turning at={at} turn={turn} />
          <WithCare book={book} />
        </article>
      </div>
    </Page>
  );
}

/** The page that lies open, and the turning of it. */
function useLeaf() {
  const navigate = useNavigate();
  const [query, setQuery] = useSearchParams();
  const at = Math.max(
    0,
    LEAVES.findIndex((l) => l.id === query.get("page")),
  );
  const turn = (by: number) => {
    const next = LEAVES[at + by];
    if (next) setQuery({ page: next.id });
  };
  useKeys({
    escape: () => navigate("/tray"),
    arrowright: () => turn(1),
    arrowleft: () => turn(-1),
    p: () => window.print(),
  });
  const leaf = LEAVES[at] as Leaf;
  usePageTitle(leaf.title);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another page is read from its top
  useEffect(() => window.scrollTo({ top: 0 }), [leaf]);
  return { at, leaf, turn };
}

function Pages({ at }: { at: number }) {
  return (
    <nav aria-label="Pages of the handbook" className="no-print max-lg:mb-3">
      <ol className="max-lg:columns-2">
        {LEAVES.map((l, i) => (
          <li key={l.id} className="break-inside-avoid">
            <Link
              to={`?page=${l.id}`}
              aria-current={i === at ? "page" : undefined}
              className="block min-h-6 border-b border-rule py-0.5 text-ink2 hover:bg-bone aria-[current=page]:font-semibold aria-[current=page]:text-ink"
            >
              {l.title}
            </Link>
          </li>
        ))}
      </ol>
    </nav>
  );
}

function Words({ leaf, at }: { leaf: Leaf; at: number }) {
  return (
    <div>
      <p className="num text-ink2">
        {at + 1} of {LEAVES.length}
      </p>
      <h2 className="text-[1.4375rem]/7 tracking-tight">{leaf.title}</h2>
      {leaf.text.map((t) => (
        <p key={t} className="mt-2 text-[1.0625rem]/6">
          {t}
        </p>
      ))}
      {leaf.steps && (
        <ol className="mt-3 list-decimal pl-5">
          {leaf.steps.map((s) => (
            <li key={s} className="mt-1">
              {s}
            </li>
          ))}
        </ol>
      )}
      {leaf.go && (
        <ul className="no-print mt-3 flex flex-wrap gap-x-5">
          {leaf.go.map(([to, words]) => (
            <li key={to}>
              <Link to={to} className="inline-block min-h-6 underline">
                {words}
              </Link>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function Turning({ at, turn }: { at: number; turn: (by: number) => void }) {
  return (
    <p className="no-print mt-5 flex gap-4">
      <button type="button" className="press" disabled={at === 0} onClick={() => turn(-1)}>
        The page before
      </button>
      <button type="button" className="press" disabled={at === LEAVES.length - 1} onClick={() => turn(1)}>
        The next page
      </button>
    </p>
  );
}

function WithCare({ book }: { book: Book }) {
  return (
    <section aria-label="With care" className="mt-6 border-t border-ink pt-2">
      <h3 className="voice text-ink2">With care</h3>
      <ul className="mt-1 text-[0.8125rem]/[1.125rem] text-ink2">
        {book.cautions.map((c) => (
          <li key={c.id} className="mt-1">
            {c.text}
          </li>
        ))}
      </ul>
    </section>
  );
}
