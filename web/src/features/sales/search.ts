import type { Book, KeptSale } from "../../api/types";

const folded = (text: string) => text.toLowerCase().normalize("NFD").replace(/\p{M}/gu, "");

/** Sales in which all words stand, the latest first, those without a day last. */
export function find(sales: KeptSale[], words: string, book: Book): KeptSale[] {
  const asked = folded(words).split(/\s+/).filter(Boolean);
  const names = new Map([...book.makers, ...book.patterns].map((o) => [o.id, o.name]));
  const labels = new Map(book.condition.grades.map((g) => [g.id, g.label]));
  const venues = new Map(book.choices.venue.map((v) => [v.id, v.label]));
  const told = ({ sale: { knife, source, note } }: KeptSale) =>
    folded(
      [
        knife.described,
        names.get(knife.maker ?? "") ?? knife.maker,
        names.get(knife.pattern ?? "") ?? knife.pattern,
        labels.get(knife.grade ?? ""),
        venues.get(knife.venue ?? ""),
        knife.sold,
        knife.made,
        source,
        note,
      ].join(" "),
    );
  const last = sales.toSorted((a, b) => (b.sale.knife.sold ?? "").localeCompare(a.sale.knife.sold ?? ""));
  return asked.length === 0
    ? last
    : last.filter((s) => {
        const text = told(s);
        return asked.every((w) => text.includes(w));
      });
}
