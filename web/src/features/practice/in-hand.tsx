import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { useStationName } from "../../api/book";
import { api, Refused } from "../../api/client";
import type { Book, Glance, Guess, PracticeTold, RoundTold } from "../../api/types";
import { Field } from "../../ui/field";
import { Select } from "../../ui/select";
import { KnifeDrawn } from "../sheet/knife-drawn";
import { Strike } from "./strike";
import { SURE_AT_FIRST, Sure } from "./sure";
import { glances, NOT_ON_FILE } from "./words";

/** A knife in hand: looks that are counted, and what one makes of it. */
export function InHand({
  round,
  told,
  book,
  onRound,
}: {
  round: RoundTold;
  told: PracticeTold;
  book: Book;
  onRound: (after: RoundTold) => void;
}) {
  const look = useMutation({ mutationFn: (id: string) => api.takeLook(round.id, id), onSuccess: onRound });
  return (
    <div className="mt-3 grid gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <section aria-label="The knife" className="min-w-0">
        {round.drawn && <KnifeDrawn sketch={round.drawn} book={book} label="The knife in hand" />}
        <Strike faces={round.knife?.marks ?? []} />
        <div className="mt-2 flex items-baseline gap-3 border-b border-ink pb-0.5">
          <h2 className="text-[1.1875rem]/[1.375rem]">Look at</h2>
          <p className="text-[0.8125rem] text-ink2 max-sm:hidden">glances it takes stand beside it</p>
          <p className="ml-auto text-ink2" role="status">
            <span className="num text-ink">{glances(round.left)}</span> left
          </p>
        </div>
        {look.isError && (
          <p role="alert" className="mt-1 text-lead">
            {look.error instanceof Refused
              ? (look.error.problems[0]?.accepted ?? look.error.message)
              : look.error.message}
          </p>
        )}
        <Looks
          looks={round.looks}
          left={round.left}
          isLooking={look.isPending}
          onLook={(id) => look.mutate(id)}
        />
      </section>
      <GuessAt round={round} told={told} onRound={onRound} />
    </div>
  );
}

function Looks({
  looks,
  left,
  isLooking,
  onLook,
}: {
  looks: Glance[];
  left: number;
  isLooking: boolean;
  onLook: (id: string) => void;
}) {
  const stationName = useStationName();
  const stations = [...new Set(looks.map((l) => l.station))];
  return (
    <dl className="mt-1 columns-1 gap-x-6 sm:columns-2">
      {stations.map((station) => (
        <div key={station} className="mb-2 break-inside-avoid">
          <dt className="text-[0.78125rem]/4 font-semibold text-ink2">{stationName(station)}</dt>
          {looks
            .filter((l) => l.station === station)
            .map((l) => (
              <dd key={l.id} className="border-b border-rule">
                {l.answer === undefined ? (
                  <button
                    type="button"
                    className="flex min-h-6 w-full items-baseline gap-2 text-left hover:bg-bone disabled:text-ink3"
                    disabled={isLooking || l.glances > left}
                    onClick={() => onLook(l.id)}
                  >
                    <span className="min-w-0 flex-1">{l.label}</span>
                    <span className="num text-[0.78125rem] text-ink2" title={`takes ${glances(l.glances)}`}>
                      {l.glances}
                    </span>
                  </button>
                ) : (
                  <p className="flex min-h-6 items-baseline gap-2">
                    <span className="text-ink2">{l.label}</span>
                    <span className="ml-auto text-right font-semibold">
                      {l.id === "marks" ? "as it stands above" : l.answer}
                    </span>
                  </p>
                )}
              </dd>
            ))}
        </div>
      ))}
    </dl>
  );
}

/** What one makes of it; what is left open is not counted. */
function GuessAt({
  round,
  told,
  onRound,
}: {
  round: RoundTold;
  told: PracticeTold;
  onRound: (after: RoundTold) => void;
}) {
  const [maker, setMaker] = useState<string>();
  const [how, setHow] = useState<string>();
  const [name, setName] = useState<string>();
  const [from, setFrom] = useState("");
  const [to, setTo] = useState("");
  const [sure, setSure] = useState({ maker: SURE_AT_FIRST, how: SURE_AT_FIRST, name: SURE_AT_FIRST });
  const unveil = useMutation({
    mutationFn: () => api.guess(round.id, guess()),
    onSuccess: onRound,
  });
  const problems = unveil.error instanceof Refused ? unveil.error.problems : [];
  const of = (field: string) => problems.find((p) => p.field === field);
  const guess = (): Guess => ({
    ...(maker !== undefined && { maker: maker === NOT_ON_FILE ? "" : maker, makerSure: sure.maker / 100 }),
    ...(how && { how, howSure: sure.how / 100 }),
    ...(name && { name, nameSure: sure.name / 100 }),
    ...(from.trim() && { from: Number(from) }),
    ...(to.trim() && { to: Number(to) }),
  });
  const isNothing = maker === undefined && !how && !name && !from.trim() && !to.trim();
  const year = (label: string, value: string, set: (v: string) => void, field: string) => (
    <Field label={label} problem={of(field)}>
      {(ids) => (
        <input
          {...ids}
          className="entry num"
          inputMode="numeric"
          maxLength={4}
          value={value}
          onChange={(e) => set(e.target.value.replace(/\D/g, ""))}
        />
      )}
    </Field>
  );
  return (
    <form
      aria-label="What you make of it"
      className="min-w-0 self-start lg:sticky lg:top-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (!isNothing) unveil.mutate();
      }}
    >
      <h2 className="border-b border-ink pb-0.5 text-[1.1875rem]/[1.375rem]">What you make of it</h2>
      <Field label="Who made it" className="mt-2" problem={of("maker")}>
        {(ids) => (
          <Select
            {...ids}
            value={maker}
            options={[{ id: NOT_ON_FILE, label: "one who is not on file" }, ...told.makers]}
            nothing="I do not say"
            onChange={setMaker}
          />
        )}
      </Field>
      {maker !== undefined && (
        <Sure of="who made it" value={sure.maker} onChange={(v) => setSure({ ...sure, maker: v })} />
      )}
      <fieldset className="mt-3">
        <legend className="text-[0.78125rem]/4 text-ink2">
          When: years that hold it, nine chances in ten
        </legend>
        <div className="grid grid-cols-2 gap-x-5">
          {year("From", from, setFrom, "from")}
          {year("To", to, setTo, "to")}
        </div>
      </fieldset>
      <Field
        label="What was done to it"
        className="mt-3"
        problem={of("how")}
        hint={told.book.how.find((h) => h.id === how)?.look}
      >
        {(ids) => (
          <Select {...ids} value={how} options={told.book.how} nothing="I do not say" onChange={setHow} />
        )}
      </Field>
      {how && <Sure of="what was done" value={sure.how} onChange={(v) => setSure({ ...sure, how: v })} />}
      <Field label="Pattern" className="mt-3" problem={of("name")}>
        {(ids) => (
          <Select {...ids} value={name} options={told.names} nothing="I do not say" onChange={setName} />
        )}
      </Field>
      {name && <Sure of="the pattern" value={sure.name} onChange={(v) => setSure({ ...sure, name: v })} />}
      <div className="mt-4 flex items-baseline gap-3">
        <button type="submit" className="press" disabled={isNothing || unveil.isPending}>
          Unveil
        </button>
        {unveil.isPending && <span className="voice text-ink3">Asking the model about the same looks.</span>}
      </div>
      {unveil.isError && problems.length === 0 && (
        <p role="alert" className="mt-2 text-lead">
          It was not unveiled. {unveil.error.message}
        </p>
      )}
    </form>
  );
}
