import { useQuery, useQueryClient } from "@tanstack/react-query";
import type { RefObject } from "react";
import { useRef, useState } from "react";
import { api } from "../../api/client";
import type { Book, KeptSale, Photo } from "../../api/types";
import { money, usualCurrency } from "../../format";
import { useKeys } from "../../keys";
import { Opened } from "../../ui/opened";
import { Page } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";
import { useAttempt } from "../../ui/use-attempt";
import { BringTable } from "./bring";
import { answersOf } from "./fields";
import { SaleForm } from "./form";
import { SmallPicture, useSalePictures } from "./pictures";
import { find } from "./search";
import { Trust } from "./trust";

const SHOWN = 200;

/** What like knives brought, entered once for the whole collection. */
export function SalesPage({ book }: { book: Book }) {
  const sales = useQuery({ queryKey: ["sales"], queryFn: api.sales });
  const [open, setOpen] = useState<KeptSale | "new">();
  const [bringing, setBringing] = useState(false);
  const opener = useRef<HTMLElement | null>(null);
  useKeys({ "+": () => !open && !bringing && setOpen("new") });
  usePageTitle("Sales book");
  const onOpen = (sale: KeptSale, from: HTMLElement) => {
    opener.current = from;
    setOpen(sale);
  };
  return (
    <Opened of={sales} failed="The sales book could not be opened." meanwhile="Opening the sales book.">
      {(all) => (
        <Page>
          <Heading many={all.length} onAdd={() => setOpen("new")} onList={() => setBringing(true)} />
          {all.length === 0 ? (
            <NothingYet />
          ) : (
            <>
              <Found sales={all} book={book} onOpen={onOpen} />
              <Trust key={sales.dataUpdatedAt} count={all.length} />
            </>
          )}
          {open && (
            <OneSale sales={all} book={book} open={open} from={opener} onClose={() => setOpen(undefined)} />
          )}
          {bringing && <AddTable last={all.at(-1)} onClose={() => setBringing(false)} />}
        </Page>
      )}
    </Opened>
  );
}

function Found({
  sales,
  book,
  onOpen,
}: {
  sales: KeptSale[];
  book: Book;
  onOpen: (sale: KeptSale, from: HTMLElement) => void;
}) {
  const [words, setWords] = useState("");
  const found = find(sales, words, book);
  return (
    <>
      <label className="mt-2 block max-w-[26rem]">
        <span className="sr-only">Search the sales</span>
        <input
          type="search"
          className="entry"
          placeholder="Search: maker, pattern, words, a year"
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
      </label>
      <SalesTable sales={found.slice(0, SHOWN)} book={book} onOpen={onOpen} />
      <p role="status" className="mt-1 text-ink2">
        {words && `${count(found.length)} found. `}
        {found.length > SHOWN && `The latest ${SHOWN} are shown; search to find the others.`}
      </p>
    </>
  );
}

/** A sale in its form, new or changed. */
function OneSale({
  sales,
  book,
  open,
  from,
  onClose,
}: {
  sales: KeptSale[];
  book: Book;
  open: KeptSale | "new";
  from: RefObject<HTMLElement | null>;
  onClose: () => void;
}) {
  const changed = useChanged();
  const attempt = useAttempt(changed);
  return (
    <SaleForm
      kept={open === "new" ? undefined : open}
      like={sales.at(-1)?.sale}
      book={book}
      from={from}
      onClose={onClose}
      onKept={changed}
      onRemove={(s) =>
        attempt(
          () => api.removeSale(s.id),
          `${s.sale.knife.described} was removed.`,
          () => api.restoreSale(s.id),
        )
      }
    />
  );
}

function AddTable({ last, onClose }: { last: KeptSale | undefined; onClose: () => void }) {
  const attempt = useAttempt(useChanged());
  return (
    <BringTable
      currency={usualCurrency(last?.sale.knife.currency)}
      onClose={onClose}
      onBrought={(batch, many) =>
        attempt(
          async () => {},
          `${count(many)} added.`,
          () => api.removeTable(batch),
        )
      }
    />
  );
}

/** Tries a change of the book; with other sales every value in the tray is another. */
/** What stands on the sales is looked at again: the book and every value in the tray. */
function useChanged() {
  const queries = useQueryClient();
  return async () => {
    await queries.invalidateQueries({ queryKey: ["sales"] });
    await queries.invalidateQueries({ queryKey: ["sale-pictures"] });
    await queries.invalidateQueries({ queryKey: ["tray"] });
  };
}

function Heading({ many, onAdd, onList }: { many: number; onAdd: () => void; onList: () => void }) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pb-1">
      <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">Sales book</h1>
      <p className="text-ink2">{count(many)} that value every knife in the tray</p>
      <span className="ml-auto flex flex-wrap gap-3">
        <button type="button" className="press" onClick={onAdd}>
          Add a sale
        </button>
        <button type="button" className="press" onClick={onList}>
          Add a list of sales
        </button>
        {many > 0 && (
          <a className="press inline-flex items-center" href="/api/sales/table" download>
            Save as a table
          </a>
        )}
      </span>
    </div>
  );
}

function NothingYet() {
  return (
    <p className="voice mt-3 max-w-[44rem] text-ink3">
      Nothing yet. Enter what like knives brought once, here, and each knife finds the sales that are most
      like it. A list you have in a spreadsheet can be added as it is: columns are found by their headings and
      by what stands in them. So can what a sale room reports.
    </p>
  );
}

const count = (n: number) => `${n.toLocaleString()} ${n === 1 ? "sale" : "sales"}`;

const CELL = "border-t border-rule py-1 pr-3 align-baseline";

function SalesTable({
  sales,
  book,
  onOpen,
}: {
  sales: KeptSale[];
  book: Book;
  onOpen: (sale: KeptSale, from: HTMLElement) => void;
}) {
  const pictures = useSalePictures();
  return (
    <table className="mt-2 w-full text-left" aria-label="Sales, the latest first">
      <thead className="text-ink2">
        <tr>
          <th className="w-28 font-normal max-sm:hidden">When</th>
          <th className="font-normal">What was sold</th>
          <th className="w-48 font-normal max-lg:hidden">Maker</th>
          <th className="w-48 font-normal max-lg:hidden">Pattern</th>
          <th className="w-28 font-normal max-sm:hidden">Grade</th>
          <th className="w-36 text-right font-normal">Price</th>
        </tr>
      </thead>
      <tbody>
        {sales.map((s) => (
          <SaleRow key={s.id} sale={s} picture={pictures.of(s.id)[0]} book={book} onOpen={onOpen} />
        ))}
      </tbody>
    </table>
  );
}

const textOn = (book: Book, id: string | undefined) =>
  answersOf(book, "inscription")
    .find((a) => a.id === id && id !== "none")
    ?.label.toLowerCase();

const name = (all: { id: string; name: string }[], id: string | undefined) =>
  all.find((o) => o.id === id)?.name ?? id;

function SaleRow({
  sale: s,
  picture,
  book,
  onOpen,
}: {
  sale: KeptSale;
  picture: Photo | undefined;
  book: Book;
  onOpen: (sale: KeptSale, from: HTMLElement) => void;
}) {
  const { knife, premium } = s.sale;
  return (
    <tr>
      <td className={`num text-ink2 max-sm:hidden ${CELL}`}>{knife.sold}</td>
      <td className={CELL}>
        <button
          type="button"
          className="min-h-6 text-left underline"
          onClick={(e) => onOpen(s, e.currentTarget)}
        >
          <SmallPicture picture={picture} />
          {knife.described}
        </button>
      </td>
      <td className={`max-lg:hidden ${CELL}`}>{name(book.makers, knife.maker)}</td>
      <td className={`max-lg:hidden ${CELL}`}>{name(book.patterns, knife.pattern)}</td>
      <td className={`max-sm:hidden ${CELL}`}>
        {book.condition.grades.find((g) => g.id === knife.grade)?.label}
      </td>
      <td className="num border-t border-rule py-1 text-right align-baseline">
        {money(knife.price, knife.currency)}
        <span className="block text-[0.78125rem]/4 text-ink2">
          {[
            premium && `and ${premium}%`,
            knife.asked && "only asked",
            book.choices.venue.find((v) => v.id === knife.venue)?.label.toLowerCase(),
            textOn(book, knife.text),
          ]
            .filter(Boolean)
            .join(", ")}
        </span>
      </td>
    </tr>
  );
}
