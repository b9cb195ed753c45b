import { useQueryClient } from "@tanstack/react-query";
import { type RefObject, useRef, useState } from "react";
import { api } from "../../api/client";
import { unseen } from "../../api/unseen";
import { Dialog } from "../../ui/dialog";
import { useToast } from "../../ui/toasts";

export interface Capture {
  title: string;
  note: string;
}

/** What was kept on a phone, a line each; lines that are none of it are counted. */
export function captures(text: string): { read: Capture[]; not: number } {
  const lines = text.split(/\r?\n/).filter((l) => l.trim() !== "");
  const read = lines.map(capture).filter((c) => c !== undefined);
  return { read, not: lines.length - read.length };
}

function capture(line: string): Capture | undefined {
  try {
    const { title, note } = JSON.parse(line);
    return typeof title === "string" && typeof note === "string" ? { title, note } : undefined;
  } catch {
    return undefined;
  }
}

/** The same on a phone without a network, and what was kept there back to the bench. */
export function Pocket() {
  const button = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  return (
    <section aria-label="In the pocket" className="no-print mt-4 border-t border-ink pt-2">
      <p className="text-ink2">
        All of this as one file for a phone: it needs no network, and keeps what you note. Or on paper: a card
        of two sides with the marks and years of the makers you look for, and what you look for.
      </p>
      <p className="mt-1 flex flex-wrap items-center gap-4">
        <a href="/api/quick/pocket.html" download className="inline-block min-h-6 underline">
          Save the pocket file
        </a>
        <a href="/api/quick/card.pdf" download className="inline-block min-h-6 underline">
          Save the card to print
        </a>
        <button ref={button} type="button" className="press" onClick={() => setOpen(true)}>
          Add what I noted
        </button>
      </p>
      {isOpen && <TakeIn from={button} onClose={() => setOpen(false)} />}
    </section>
  );
}

/** What was noted, as it is pasted, and the press that lays it in the tray. */
function useTakingIn(onClose: () => void) {
  const [text, setText] = useState("");
  const [isBusy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string>();
  const queries = useQueryClient();
  const toast = useToast();
  const { read, not } = captures(text);
  const again = () => queries.invalidateQueries({ queryKey: ["tray"] });
  const take = async () => {
    setBusy(true);
    setFailed(undefined);
    const ids: string[] = [];
    try {
      for (const one of read) {
        const id = crypto.randomUUID();
        await api.add(id, unseen(one));
        ids.push(id);
      }
      onClose();
      toast(`${counted(ids.length)} laid in the tray.`, async () => {
        for (const id of ids) await api.remove(id);
        await again();
      });
    } catch (e) {
      // What came in stays; pasted again the rest is left.
      setText(
        read
          .slice(ids.length)
          .map((c) => JSON.stringify(c))
          .join("\n"),
      );
      setFailed(`${counted(ids.length)} laid in the tray, the others not. ${(e as Error).message}`);
    }
    setBusy(false);
    await again();
  };
  return { text, setText, read, not, isBusy, failed, take };
}

function TakeIn({ from, onClose }: { from: RefObject<HTMLElement | null>; onClose: () => void }) {
  const { text, setText, read, not, isBusy, failed, take } = useTakingIn(onClose);
  return (
    <Dialog open onClose={onClose} from={from} title="What I noted at the market">
      <label className="mt-3 block">
        <span className="block text-ink2">Paste the text from the phone here, or choose the file</span>
        <textarea
          rows={6}
          className="entry font-mono"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      </label>
      <FromFile onText={setText} />
      <Noted read={read} not={not} />
      {failed && (
        <p role="alert" className="mt-1 text-lead">
          {failed}
        </p>
      )}
      <button
        type="button"
        className="press mt-4"
        disabled={read.length === 0 || isBusy}
        aria-busy={isBusy}
        onClick={take}
      >
        Lay {counted(read.length)} in the tray
      </button>
    </Dialog>
  );
}

function FromFile({ onText }: { onText: (text: string) => void }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button type="button" className="press mt-2" onClick={() => input.current?.click()}>
        Choose a file
      </button>
      <input
        ref={input}
        type="file"
        aria-label="What was saved on the phone"
        accept=".txt,.json,text/plain"
        hidden
        onChange={async (e) => {
          const chosen = e.target.files?.[0];
          if (chosen) onText(await chosen.text());
        }}
      />
    </>
  );
}

function Noted({ read, not }: { read: Capture[]; not: number }) {
  return (
    <>
      <ul className="mt-3 max-h-[14rem] overflow-auto border-t border-ink" aria-label="Noted">
        {read.map((c, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: two knives may be noted alike
          <li key={i} className="border-b border-rule py-0.5">
            <span className="font-semibold">{c.title}</span>: {c.note}
          </li>
        ))}
      </ul>
      {not > 0 && (
        <p className="mt-1 text-lead">
          {not === 1 ? "One line is" : `${not} lines are`} not of the pocket file and will be left out.
        </p>
      )}
    </>
  );
}

const counted = (many: number) => `${many.toLocaleString()} ${many === 1 ? "knife" : "knives"}`;
