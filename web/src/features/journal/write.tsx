import { type FormEvent, useState } from "react";
import { api, Refused } from "../../api/client";
import type { Problem } from "../../api/types";
import { Field } from "../../ui/field";

const NOTHING = { note: "", held: "", question: false };

/** Where the collector writes. What cannot be used stays in the form. */
export function Write({ knife, accepted, onWritten }: OfWriting) {
  const { written, set, problem, failed, submit } = useWriting(knife, onWritten);
  return (
    <form onSubmit={submit} className="no-print self-start border-rule max-lg:order-1 lg:border-l lg:pl-5">
      <h2 className="text-[1.1875rem]/[1.375rem]">Write in it</h2>
      <Field label="Note" problem={problem("note")} className="mt-2">
        {(ids) => (
          <textarea
            {...ids}
            rows={4}
            maxLength={4000}
            className="entry h-auto w-full border border-rule"
            value={written.note}
            onChange={(e) => set({ note: e.target.value })}
          />
        )}
      </Field>
      <Held written={written} set={set} problem={problem("held")} accepted={accepted} />
      <button type="submit" className="press mt-2">
        Enter it
      </button>
      <p role="alert" className="text-lead">
        {failed && `Not entered: ${failed}`}
      </p>
    </form>
  );
}

/** The years one holds oneself, and whether the entry is a question. */
function Held({
  written,
  set,
  problem,
  accepted,
}: Pick<ReturnType<typeof useWriting>, "written" | "set"> & {
  problem: Problem | undefined;
  accepted: string;
}) {
  return (
    <>
      <Field label="Years you hold" problem={problem} hint={accepted} className="mt-2">
        {(ids) => (
          <input
            {...ids}
            className="entry"
            maxLength={40}
            value={written.held}
            onChange={(e) => set({ held: e.target.value })}
          />
        )}
      </Field>
      <label className="mt-2 flex min-h-6 items-center gap-2">
        <input
          type="checkbox"
          checked={written.question}
          onChange={(e) => set({ question: e.target.checked })}
        />
        It is an open question
      </label>
    </>
  );
}

interface OfWriting {
  knife: string;
  accepted: string;
  onWritten: () => void;
}

function useWriting(knife: string, onWritten: () => void) {
  const [written, setWritten] = useState(NOTHING);
  const [problems, setProblems] = useState<Problem[]>([]);
  const [failed, setFailed] = useState<string>();
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    setFailed(undefined);
    try {
      await api.write(knife, written);
      setWritten(NOTHING);
      setProblems([]);
      onWritten();
    } catch (cause) {
      const told = cause instanceof Refused ? cause.problems : [];
      setProblems(told);
      if (told.length === 0) setFailed((cause as Error).message);
    }
  };
  return {
    written,
    set: (what: Partial<typeof NOTHING>) => setWritten({ ...written, ...what }),
    problem: (field: string) => problems.find((p) => p.field === field),
    failed,
    submit,
  };
}
