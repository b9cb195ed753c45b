import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { api } from "../../api/client";
import type { Book, TrayEntry } from "../../api/types";
import { titleBy } from "../../format";
import { usePreferences } from "../../preferences";
import { Dialog } from "../../ui/dialog";
import { Select } from "../../ui/select";
import { useToast } from "../../ui/toasts";

/** A photograph on its way to a knife. */
interface Row {
  file: File;
  /** With the folders before it. */
  name: string;
  /** Of the knife in the tray; nothing where it is not known. */
  number: number | undefined;
  role: string;
}

/** Names go in parts: the server reads no more at once. */
const NAMES = 1000;
const nameOf = (f: File) => f.webkitRelativePath || f.name;
/** By which one that is chosen again is known. */
const keyOf = (r: Row) => `${r.name} ${r.file.size} ${r.file.lastModified}`;
const counted = (n: number) => (n === 1 ? "1 photograph" : `${n.toLocaleString()} photographs`);

/** Many photographs at once: by the names of their files each finds its knife, or is given one by hand. */
export function BringPhotos({ tray, book, onClose }: { tray: TrayEntry[]; book: Book; onClose: () => void }) {
  const { rows, numbers, ready, error, choose, change, remove, ...adding } = useRows(tray, onClose);
  return (
    <Dialog open onClose={onClose} title="Photographs" isWide>
      <p className="mt-2 text-ink2">
        A file or a folder that begins with the number of the knife, or has its name, finds it: 12 front.jpg,
        12 keeper/tang 2.jpg. All others are yours to place.
      </p>
      <Source onFiles={choose} />
      {error && (
        <p role="alert" className="mt-2 bg-lead-wash px-3 py-1.5 text-lead">
          {error}
        </p>
      )}
      {rows.length > 0 && (
        <>
          <Adding ready={ready.length} left={rows.length - ready.length} {...adding} />
          <ul className="mt-1 max-h-[50vh] overflow-y-auto border-t border-ink">
            {rows.map((row) => (
              <PhotoRow
                key={keyOf(row)}
                row={row}
                knife={numbers.get(row.number ?? -1)}
                roles={book.photoRoles}
                onChange={(what) => change(row, what)}
                onRemove={() => remove(row)}
              />
            ))}
          </ul>
        </>
      )}
    </Dialog>
  );
}

/** The photographs that were chosen, and what becomes of them. */
function useRows(tray: TrayEntry[], onClose: () => void) {
  const [rows, setRows] = useState<Row[]>([]);
  const [error, setError] = useState<string>();
  const numbers = new Map(tray.map((k) => [k.number, k]));
  const ready = rows.filter((r) => r.number !== undefined && numbers.has(r.number));
  const remove = (row: Row) => setRows((now) => now.filter((r) => keyOf(r) !== keyOf(row)));
  const choose = async (files: File[]) => {
    const pictures = files.filter((f) => f.type.startsWith("image/"));
    setError(pictures.length === 0 ? "There is no picture among them." : undefined);
    try {
      const told = await named(pictures, tray);
      setRows((now) => [...now, ...told.filter((t) => !now.some((r) => keyOf(r) === keyOf(t)))]);
    } catch (e) {
      setError((e as Error).message);
    }
  };
  const { done, add, stop } = useAdding(remove, (refused, isWhole) => {
    setError(refused);
    if (isWhole && ready.length === rows.length) onClose();
  });
  return {
    rows,
    numbers,
    ready,
    error,
    choose,
    remove,
    change: (row: Row, what: Partial<Row>) =>
      setRows((now) => now.map((r) => (r === row ? { ...r, ...what } : r))),
    done,
    onAdd: () => add(ready.map((row) => ({ row, knife: numbers.get(row.number as number) as TrayEntry }))),
    onStop: stop,
  };
}

/** What the names of files tell. */
async function named(pictures: File[], tray: TrayEntry[]): Promise<Row[]> {
  const byId = new Map(tray.map((k) => [k.id, k.number]));
  const told: Row[] = [];
  for (let at = 0; at < pictures.length; at += NAMES) {
    const part = pictures.slice(at, at + NAMES);
    const read = await api.readPhotoNames(part.map(nameOf));
    part.forEach((file, i) => {
      const knife = read[i]?.knife;
      const number = knife === undefined ? undefined : byId.get(knife);
      told.push({ file, name: nameOf(file), number, role: read[i]?.role ?? "other" });
    });
  }
  return told;
}

/** Gives photographs to their knives one by one until all are there, one is refused or it is stopped. */
function useAdding(
  onKept: (row: Row) => void,
  onEnd: (refused: string | undefined, isWhole: boolean) => void,
) {
  const [done, setDone] = useState<number>();
  const way = useRef(new AbortController());
  const queries = useQueryClient();
  const toast = useToast();
  useEffect(() => () => way.current.abort(), []);
  const shown = () => queries.invalidateQueries({ queryKey: ["photos"] });
  const add = async (all: { row: Row; knife: TrayEntry }[]) => {
    way.current = new AbortController();
    const { signal } = way.current;
    const kept: string[] = [];
    let refused: string | undefined;
    for (const { row, knife } of all) {
      if (signal.aborted || refused) break;
      setDone(kept.length);
      try {
        kept.push((await api.addPhoto(knife.id, row.file, row.role)).id);
        onKept(row);
      } catch (e) {
        refused = `${row.name} was not kept. ${(e as Error).message}`;
      }
    }
    setDone(undefined);
    shown();
    const back = async () => {
      for (const id of kept) await api.removePhoto(id);
      shown();
    };
    if (kept.length > 0) toast(`${counted(kept.length)} added.`, back);
    onEnd(refused, kept.length === all.length);
  };
  return { done, add, stop: () => way.current.abort() };
}

function Adding({
  ready,
  left,
  done,
  onAdd,
  onStop,
}: {
  ready: number;
  left: number;
  done: number | undefined;
  onAdd: () => void;
  onStop: () => void;
}) {
  return (
    <p className="mt-3 flex min-h-8 flex-wrap items-center gap-3">
      <button type="button" className="press" disabled={ready === 0 || done !== undefined} onClick={onAdd}>
        Add {counted(ready)}
      </button>
      {done !== undefined && (
        <>
          <progress className="accent-blue" aria-label="How many are kept" value={done} max={ready + done} />
          <button type="button" className="min-h-6 underline" onClick={onStop}>
            Stop
          </button>
        </>
      )}
      <span role="status" className="text-ink2">
        {left > 0 && `${left} without a knife`}
      </span>
    </p>
  );
}

/** Files, or a folder with all that is in it. */
function Source({ onFiles }: { onFiles: (files: File[]) => void }) {
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the same is done by the buttons
    <div
      className="mt-3 flex flex-wrap gap-3"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        onFiles([...e.dataTransfer.files]);
      }}
    >
      <Chosen
        press="Choose files"
        label="Photographs to add"
        onFiles={onFiles}
        how={{ accept: "image/*", multiple: true }}
      />
      <Chosen
        press="Choose a folder"
        label="A folder to add"
        onFiles={onFiles}
        how={{ webkitdirectory: "" }}
      />
      <span className="voice self-center text-ink2">or drop them here</span>
    </div>
  );
}

function Chosen({
  press,
  label,
  how,
  onFiles,
}: {
  press: string;
  label: string;
  how: object;
  onFiles: (files: File[]) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button type="button" className="press" onClick={() => input.current?.click()}>
        {press}
      </button>
      <input
        ref={input}
        type="file"
        aria-label={label}
        hidden
        onChange={(e) => {
          const chosen = [...(e.target.files ?? [])];
          e.target.value = "";
          if (chosen.length > 0) onFiles(chosen);
        }}
        {...how}
      />
    </>
  );
}

function PhotoRow({
  row,
  knife,
  roles,
  onChange,
  onRemove,
}: {
  row: Row;
  knife: TrayEntry | undefined;
  roles: Book["photoRoles"];
  onChange: (what: Partial<Row>) => void;
  onRemove: () => void;
}) {
  const { school } = usePreferences();
  const title = knife && (knife.title ?? (knife.summary ? titleBy(school, knife.summary) : ""));
  return (
    <li className="grid grid-cols-[4.5rem_minmax(0,1fr)] items-center gap-x-3 gap-y-1 border-b border-rule py-1 sm:grid-cols-[4.5rem_minmax(0,1fr)_5rem_minmax(0,1fr)_9rem_1.5rem]">
      <Small file={row.file} />
      <span className="truncate" title={row.name}>
        {row.name}
      </span>
      <input
        type="number"
        min={1}
        className="entry num w-20"
        aria-label={`Knife of ${row.name}`}
        placeholder="no."
        value={row.number ?? ""}
        onChange={(e) => onChange({ number: e.target.value === "" ? undefined : e.target.valueAsNumber })}
      />
      <span className={knife ? "truncate" : "truncate text-lead"}>
        {title ?? (row.number === undefined ? "" : "no such knife in the tray")}
      </span>
      <Select
        aria-label={`What ${row.name} shows`}
        value={row.role}
        nothing="shows"
        options={roles}
        onChange={(role) => role && onChange({ role })}
      />
      <button
        type="button"
        className="min-h-6 min-w-6 text-ink2 hover:text-lead max-sm:col-start-2 max-sm:justify-self-start"
        aria-label={`Leave ${row.name} out`}
        onClick={onRemove}
      >
        {"\u00d7"}
      </button>
    </li>
  );
}

const WIDE = 144;
const HIGH = 96;

/** Pictures are looked at one after the other: many at once would fill the memory. */
let queue: Promise<unknown> = Promise.resolve();

/** A photograph in small, cut to its frame; one that cannot be shown leaves it empty. */
function Small({ file }: { file: File }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const draw = async () => {
      const to = canvas.current?.getContext("2d");
      if (!to) return;
      const picture = await createImageBitmap(file);
      const scale = Math.max(WIDE / picture.width, HIGH / picture.height);
      const [w, h] = [picture.width * scale, picture.height * scale];
      to.drawImage(picture, (WIDE - w) / 2, (HIGH - h) / 2, w, h);
      picture.close();
    };
    queue = queue.then(draw).catch(() => {});
  }, [file]);
  return (
    <canvas
      ref={canvas}
      width={WIDE}
      height={HIGH}
      aria-hidden="true"
      className="h-12 w-18 border border-rule max-sm:row-span-5 max-sm:self-start"
    />
  );
}
