import type { Span } from "./api/types";
import { type School, type Units, usePreferences } from "./preferences";

const MM_PER_INCH = 25.4;

/** Whole inches and parts of one in lowest terms, nearest to a length, and what is left over in millimetres. */
export function inches(
  mm: number,
  parts = 16,
): { whole: number; over: number; under: number; residue: number } {
  const all = Math.round((mm / MM_PER_INCH) * parts);
  let over = all % parts;
  let under = parts;
  while (over > 0 && over % 2 === 0) {
    over /= 2;
    under /= 2;
  }
  return { whole: Math.floor(all / parts), over, under, residue: mm - (all * MM_PER_INCH) / parts };
}

/** A length in words, for what is read out or drawn. */
export function lengthText(mm: number, units: Units, parts = 16): string {
  if (units === "mm") return `${mm.toFixed(1)} mm`;
  const { whole, over, under } = inches(mm, parts);
  const fraction = over > 0 ? `${over}/${under}` : "";
  return `${[whole > 0 || !fraction ? `${whole}` : "", fraction].filter(Boolean).join(" ")} in`;
}

/** A length in full: the nearest fraction, what it leaves over, and millimetres. */
export function lengthInFull(mm: number, parts = 16): string {
  const { residue } = inches(mm, parts);
  const left =
    Math.abs(residue) < 0.05 ? "" : ` ${residue > 0 ? "+" : "\u2212"}${Math.abs(residue).toFixed(1)} mm`;
  return `${lengthText(mm, "in", parts)}${left}; ${lengthText(mm, "mm")}`;
}

const isIn = (written: string, units: Units) => (/mm|cm/i.test(written) ? "mm" : "in") === units;

/**
 * A length as the switch wants it. What was written stays as it is; in the other unit it is shown converted,
 * and what is kept is still what was written.
 */
export const shownLength = (written: string | undefined, mm: number | undefined, units: Units, parts = 16) =>
  written === undefined || mm === undefined || isIn(written, units) ? written : lengthText(mm, units, parts);

/** A length set with a proper fraction. */
export function LengthFigure({ mm, units }: { mm: number; units: Units }) {
  const { parts } = usePreferences();
  if (units === "mm") return <span className="num">{mm.toFixed(1)} mm</span>;
  const { whole, over, under } = inches(mm, Number(parts));
  return (
    <span className="num whitespace-nowrap">
      {whole > 0 || over === 0 ? whole : null}
      {over > 0 && (
        <>
          {"\u2009"}
          <span className="frac">{`${over}/${under}`}</span>
        </>
      )}
      {"\u2009in"}
    </span>
  );
}

/** What a knife is called, by the school one goes by. */
export const titleBy = (school: School, of: { title: string; tradeTitle: string }) =>
  school === "trade" ? of.tradeTitle : of.title;

export const percent = (p: number) => Math.round(100 * p);

/** Years from the first to the last; one year alone is told once. */
export const fromTo = ({ from, to }: { from?: number | undefined; to?: number | undefined }): string =>
  from === to ? `${from}` : `${from}\u2013${to}`;

/** Years of a span, pieces and all. */
export function years(span: Span): string {
  return span.pieces.map(fromTo).join(", ");
}

/** First to last year, for tight places; a broken span says so elsewhere. */
export function yearsWhole(span: Span): string {
  return fromTo({ from: span.pieces[0]?.from, to: span.pieces.at(-1)?.to });
}

/** Money as the reader's locale writes it, without pence where there are none. */
export function money(amount: number, currency: string): string {
  try {
    return new Intl.NumberFormat(undefined, {
      style: "currency",
      currency,
      minimumFractionDigits: Number.isInteger(amount) ? 0 : 2,
    }).format(amount);
  } catch {
    return `${amount} ${currency}`;
  }
}

/** An amount to the smallest coin, as in a column of figures. */
export const coins = (amount: number, currency: string): string =>
  new Intl.NumberFormat(undefined, { style: "currency", currency }).format(amount);

/** Today in the reader's own time zone, as formats write it. */
export const today = () => new Date().toLocaleDateString("sv");

/** A day as the reader's locale writes it. */
export const dayText = (iso: string) =>
  new Date(`${iso}T12:00`).toLocaleDateString(undefined, { dateStyle: "medium" });

export const sentence = (s: string) => s.charAt(0).toUpperCase() + s.slice(1);

/** An id of the trade's as one says it. */
export const inWords = (id: string) => sentence(id.replaceAll("-", " "));

/** A length as typed, with the unit of the switch where none was written. */
export function withUnit(typed: string, units: Units): string {
  const text = typed.trim();
  return /^[\d\s.,/\-½¼¾⅛⅜⅝⅞]+$/.test(text) ? `${text} ${units}` : text;
}

/** What amounts are in where nothing says so: as the last one was. */
export const usualCurrency = (last?: string): string => last ?? "GBP";
