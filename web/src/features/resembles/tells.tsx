import type { ReactNode } from "react";
import type { Beside } from "../../api/types";
import { percent } from "../../format";
import { signed } from ".";

type Cell = Beside["comparison"]["rows"][number]["cells"][number];

/** Decibans beyond this fill their half of the bar. */
const FULL = 20;

/** All tells under one another, a column for each candidate. */
export function Tells({ compared, heads, drawn }: OfTells) {
  const { rows } = compared.comparison;
  const open = rows.filter((r) => !r.seen);
  return (
    <table className="w-full min-w-[40rem] table-fixed text-left">
      <thead className="align-bottom">
        <tr>
          <th className="w-[24%] pr-4 font-normal">
            {drawn}
            <BeforeAnyTell comparison={compared.comparison} />
          </th>
          {heads.map((h, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a candidate is known by its place
            <th key={i} className="pr-4 font-normal">
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody data-testid="tells">
        {rows.map((r) => r.seen && <SeenRow key={r.trait} row={r} />)}
        {open.length > 0 && (
          <tr className="border-t border-ink">
            <th scope="rowgroup" colSpan={heads.length + 1} className="voice pt-2 font-normal text-ink2">
              Not looked at on this knife
            </th>
          </tr>
        )}
        {open.map((r) => (
          <OpenRow key={r.trait} row={r} />
        ))}
      </tbody>
    </table>
  );
}

interface OfTells {
  compared: Beside;
  heads: ReactNode[];
  drawn: ReactNode;
}

type Comparison = Beside["comparison"];

/** What is held of the candidates before a single tell. */
function BeforeAnyTell({ comparison: { other, priorDecibans, ofItsPattern } }: { comparison: Comparison }) {
  return (
    <>
      <p>
        The knife in hand. None of these: <span className="num text-[1.0625rem]">{percent(other)}%</span>
      </p>
      {ofItsPattern !== undefined && (
        <p className="text-[0.78125rem]/4 text-ink2">
          Another knife of this pattern, not on file: <span className="num">{signed(ofItsPattern)} db</span>.
        </p>
      )}
      <p className="text-[0.78125rem]/4 text-ink2">
        Each begins at {signed(priorDecibans)} db, for knives of other kinds; 10 db (decibans) are odds of ten
        to one.
      </p>
    </>
  );
}

function SeenRow({ row }: { row: Comparison["rows"][number] }) {
  return (
    <tr className="border-t border-rule align-top">
      <th scope="row" className="py-1 pr-3 font-normal">
        <span className="block text-[0.78125rem]/4 text-ink2">{row.label}</span>
        {row.seen}
      </th>
      {row.cells.map((c, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a candidate is known by its place
        <td key={i} className="py-1 pr-4">
          <Told cell={c} />
        </td>
      ))}
    </tr>
  );
}

function OpenRow({ row }: { row: Comparison["rows"][number] }) {
  return (
    <tr className="border-t border-rule align-top text-ink2">
      <th scope="row" className="py-0.5 pr-3 font-normal">
        {row.label}
      </th>
      {row.cells.map((c, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a candidate is known by its place
        <td key={i} className="py-0.5 pr-4">
          {c.expected ?? <span className="voice text-ink3">not known</span>}
        </td>
      ))}
    </tr>
  );
}

const WORDS = {
  for: "for",
  against: "against",
  "says-little": "says little",
  "not-seen": "not looked at",
  "not-known": "not known",
} as const;

/** What one tell says of one candidate: a bar to the right speaks for it, to the left against. */
function Told({ cell }: { cell: Cell }) {
  if (cell.standing === "not-known") return <span className="voice text-ink3">not known</span>;
  const share = Math.min(1, Math.abs(cell.decibans) / FULL) * 50;
  const isFor = cell.decibans > 0;
  return (
    <>
      <span className="flex justify-between gap-2 text-[0.8125rem]/5">
        <span className="min-w-0 text-ink2">{cell.expected}</span>
        <span
          className={`num shrink-0 ${cell.standing === "against" ? "text-lead" : cell.standing === "for" ? "text-blue" : "text-ink2"}`}
        >
          <span className="sr-only">{WORDS[cell.standing]}, </span>
          {signed(cell.decibans)}
        </span>
      </span>
      <svg
        width="100%"
        height="6"
        viewBox="0 0 100 6"
        preserveAspectRatio="none"
        aria-hidden="true"
        className="block"
      >
        <path d="M0 5.5H100" stroke="var(--color-rule)" vectorEffect="non-scaling-stroke" />
        <path d="M50 0V6" stroke="var(--color-edge)" vectorEffect="non-scaling-stroke" />
        <rect
          x={isFor ? 50 : 50 - share}
          y="0"
          width={share}
          height="5"
          fill={isFor ? "var(--color-blue)" : "var(--color-lead)"}
        />
      </svg>
    </>
  );
}
