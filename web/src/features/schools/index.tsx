import type { RefObject } from "react";
import { useRef, useState } from "react";
import { Link, useNavigate } from "react-router";
import { api } from "../../api/client";
import { choiceOf, useGrading } from "../../api/grading";
import type { Book, SchoolTold } from "../../api/types";
import { useKeys } from "../../keys";
import { Dialog } from "../../ui/dialog";
import { Opened } from "../../ui/opened";
import { Page } from "../../ui/page";
import { usePageTitle } from "../../ui/page-title";
import { useToast } from "../../ui/toasts";
import { Trial } from "../makers/trial";
import { changing, likeIt, type SchoolDraft, withoutSchool } from "./draft";
import { SchoolEditor } from "./editor";

/** How collectors judge: which school heads every page, and schools of one's own. */
export function SchoolsPage({ book }: { book: Book }) {
  const { grading, error, refetch, judge, head } = useGrading();
  const [draft, setDraft] = useState<SchoolDraft>();
  const [tried, setTried] = useState<SchoolTold>();
  const opener = useRef<HTMLButtonElement>(null);
  const navigate = useNavigate();
  useKeys({ escape: () => !draft && !tried && navigate(-1) });
  usePageTitle("Schools of grading");
  const onTry = (school: SchoolTold, from: HTMLButtonElement) => {
    opener.current = from;
    setTried(school);
  };
  return (
    <Opened
      of={{ data: grading, error, refetch }}
      failed="The schools could not be read."
      meanwhile="Looking."
    >
      {(grading) => (
        <Page>
          <Preface />
          <Schools {...{ grading, judge, head }} onDraft={setDraft} onTry={onTry} />
          <Elsewhere />
          <TryDialog grading={grading} tried={tried} from={opener} onClose={() => setTried(undefined)} />
          {draft && (
            <SchoolEditor
              key={draft.school.id}
              draft={draft}
              book={book}
              choice={choiceOf(grading)}
              onKeep={judge}
              onClose={() => setDraft(undefined)}
            />
          )}
        </Page>
      )}
    </Opened>
  );
}

type Grading = NonNullable<ReturnType<typeof useGrading>["grading"]>;

function Preface() {
  return (
    <>
      <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">Schools of grading</h1>
      <p className="mt-1 max-w-[46rem] text-ink2">
        Every knife is graded by all of them, side by side. The one that heads every page of this collection
        also grades the tray and the value. What each fault lets pass is judgement: make a school of your own
        where you hold it otherwise.
      </p>
    </>
  );
}

function Elsewhere() {
  return (
    <p className="mt-3 text-ink2">
      How often faults are met, and what grades bring, stand with the{" "}
      <Link to="/judgement" className="underline">
        numbers of judgement
      </Link>{" "}
      and in the book of condition.
    </p>
  );
}

function Schools({
  grading,
  judge,
  head,
  onDraft,
  onTry,
}: Pick<ReturnType<typeof useGrading>, "judge" | "head"> & {
  grading: Grading;
  onDraft: (draft: SchoolDraft) => void;
  onTry: (school: SchoolTold, from: HTMLButtonElement) => void;
}) {
  const toast = useToast();
  const choice = choiceOf(grading);
  const remove = async (s: SchoolTold) => {
    try {
      await judge(withoutSchool(grading, choice, s.school.id));
      toast(`${s.school.label} was removed.`, () => judge(choice));
    } catch (e) {
      toast(`It stays. ${(e as Error).message}`);
    }
  };
  return (
    <ul className="mt-3 max-w-[60rem] border-t border-ink" aria-label="Schools">
      {grading.schools.map((s) => (
        <School
          key={s.school.id}
          told={s}
          isHead={grading.heads === s.school.id}
          onHead={() => head(s.school.id)}
          onLike={() => onDraft(likeIt(s, grading))}
          onChange={() => onDraft(changing(s))}
          onRemove={() => remove(s)}
          onTry={(button) => onTry(s, button)}
        />
      ))}
    </ul>
  );
}

function TryDialog({
  grading,
  tried,
  from,
  onClose,
}: {
  grading: Grading;
  tried: SchoolTold | undefined;
  from: RefObject<HTMLButtonElement | null>;
  onClose: () => void;
}) {
  return (
    <Dialog open={tried !== undefined} onClose={onClose} title={tried?.school.label ?? ""} from={from}>
      {tried && (
        <Trial
          begin={() => api.tryGrading({ ...choiceOf(grading), heads: tried.school.id }, grading.heads)}
        />
      )}
    </Dialog>
  );
}

interface ToDo {
  onLike: () => void;
  onChange: () => void;
  onRemove: () => void;
  onTry: (button: HTMLButtonElement) => void;
}

/** A school: whether it heads the pages, what it is about, and what can be done with it. */
function School({
  told: s,
  isHead,
  onHead,
  ...todo
}: { told: SchoolTold; isHead: boolean; onHead: () => void } & ToDo) {
  return (
    <li className="border-b border-rule py-2">
      <label className="flex min-h-6 items-baseline gap-2">
        <input type="radio" name="heads" checked={isHead} onChange={onHead} />
        <span className="font-semibold">{s.school.label}</span>
        {!s.shipped && <span className="text-ink2">your own</span>}
        {isHead && <span className="text-blue">heads every page</span>}
      </label>
      <p className="ml-6 text-ink2">{s.school.about}</p>
      <WhatToDo told={s} isHead={isHead} {...todo} />
    </li>
  );
}

function WhatToDo({
  told: s,
  isHead,
  onLike,
  onChange,
  onRemove,
  onTry,
}: { told: SchoolTold; isHead: boolean } & ToDo) {
  return (
    <p className="mt-1 ml-6 flex flex-wrap gap-x-4">
      <button type="button" className="min-h-6 underline" onClick={onLike}>
        Make one of my own like this
      </button>
      {!s.shipped && (
        <>
          <button type="button" className="min-h-6 underline" onClick={onChange}>
            Change it
          </button>
          <button type="button" className="min-h-6 underline" onClick={onRemove}>
            Remove it
          </button>
        </>
      )}
      {!isHead && (
        <button type="button" className="min-h-6 underline" onClick={(e) => onTry(e.currentTarget)}>
          What it would grade otherwise
        </button>
      )}
    </p>
  );
}
