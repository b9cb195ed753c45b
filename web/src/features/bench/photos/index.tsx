import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type DragEvent, useEffect, useState } from "react";
import { api } from "../../../api/client";
import { isPaper } from "../../../api/papers";
import type { Book, Photo } from "../../../api/types";
import { AddFiles } from "../../../ui/add-files";
import { SavePaper } from "../../../ui/save-paper";
import { Select } from "../../../ui/select";
import { useToast } from "../../../ui/toasts";
import { PhoneAsCamera } from "../phone";
import type { Knife } from "../use-knife";
import { MeasureDialog } from "./measure-dialog";

const LOOK_AGAIN_MS = 4000;
const LOOKS = 10;

/** The photographs of a knife, and what is done with them; what went wrong is said in a sentence. */
function usePhotos(id: string) {
  const queries = useQueryClient();
  const toast = useToast();
  const photos = useQuery({
    queryKey: ["photos", id],
    queryFn: () => api.photos(id),
    // Some come while the page is open: from another tab, or those of the sample knives.
    refetchInterval: ({ state }) =>
      state.data?.length === 0 && state.dataUpdateCount < LOOKS && LOOK_AGAIN_MS,
  });
  const refresh = () => queries.invalidateQueries({ queryKey: ["photos", id] });
  const attempt = async (what: string, done: Promise<unknown>, undo?: () => void) => {
    try {
      await done;
      if (undo) toast(what, undo);
    } catch (e) {
      toast(`That could not be done. ${reason(e)}`);
    }
    refresh();
  };
  const putBack = (p: Photo) => attempt("", api.restorePhoto(p.id));
  return {
    photos,
    ...useAdding(id, refresh),
    setRole: (p: Photo, role: string) => attempt("", api.photoRole(p.id, role)),
    remove: (p: Photo) => attempt(`${p.fileName} was taken away.`, api.removePhoto(p.id), () => putBack(p)),
  };
}

/** Keeps photographs one after another, telling which it is at. */
function useAdding(id: string, refresh: () => Promise<void>) {
  const toast = useToast();
  const [working, setWorking] = useState<string>();
  const add = async (files: File[]) => {
    for (const [i, f] of files.entries()) {
      setWorking(`Keeping ${f.name || "the picture"}, ${i + 1} of ${files.length}`);
      try {
        await api.addPhoto(id, f);
      } catch (e) {
        toast(`${f.name || "The picture"} was not kept. ${reason(e)}`);
      }
      await refresh();
    }
    setWorking(undefined);
  };
  return { working, add };
}

/** Pictures that are pasted anywhere on the page. */
function usePasted(onPictures: (files: File[]) => void) {
  useEffect(() => {
    const paste = (e: globalThis.ClipboardEvent) => {
      const pictures = [...(e.clipboardData?.files ?? [])];
      if (pictures.length > 0) onPictures(pictures);
    };
    window.addEventListener("paste", paste);
    return () => window.removeEventListener("paste", paste);
  });
}

/** The photographs of a knife: dropped, pasted or chosen; each is a way to measure on it. */
export function Photos({ id, knife, book }: { id: string; knife: Knife; book: Book }) {
  const { photos, working, add, setRole, remove } = usePhotos(id);
  const { isOver, drop } = useDropped(add);
  const [inHand, setInHand] = useState<Photo>();
  usePasted(add);
  return (
    <section
      aria-labelledby="photos-name"
      className={`no-print border-t border-rule pt-2 pb-3 ${isOver ? "bg-blue-wash" : ""}`}
      {...drop}
    >
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 id="photos-name" className="text-[1.1875rem]/[1.375rem]">
          Photographs and papers
        </h2>
        <AddFiles label="Add photographs or papers" hidden="Photographs to add" onFiles={add} />
        <PhoneAsCamera id={id} label="Use a phone" wanted={{ role: "mark-side" }} />
        <p className="voice text-ink2" role="status">
          {working ??
            (photos.data?.length === 0 ? "None yet. Drop some here, or paste one." : "Drop or paste more.")}
        </p>
      </div>
      {photos.isError && (
        <p className="text-lead">The photographs could not be shown. {photos.error.message}</p>
      )}
      <ul className="mt-2 flex flex-wrap gap-x-4 gap-y-2">
        {photos.data?.map((p) => (
          <PhotoTile
            key={p.id}
            photo={p}
            roles={book.photoRoles}
            onOpen={() => setInHand(p)}
            onRole={(role) => setRole(p, role)}
            onRemove={() => remove(p)}
          />
        ))}
      </ul>
      {inHand && <MeasureDialog photo={inHand} knife={knife} onClose={() => setInHand(undefined)} />}
    </section>
  );
}

/** Files that are dropped here, and whether some are just above. */
function useDropped(add: (files: File[]) => void) {
  const [isOver, setOver] = useState(false);
  const drop = {
    onDragOver: (e: DragEvent) => {
      e.preventDefault();
      setOver(true);
    },
    onDragLeave: () => setOver(false),
    onDrop: (e: DragEvent) => {
      e.preventDefault();
      setOver(false);
      add([...e.dataTransfer.files]);
    },
  };
  return { isOver, drop };
}

function PhotoTile({
  photo,
  roles,
  onOpen,
  onRole,
  onRemove,
}: {
  photo: Photo;
  roles: Book["photoRoles"];
  onOpen: () => void;
  onRole: (role: string) => void;
  onRemove: () => void;
}) {
  return (
    <li className="w-36">
      {isPaper(photo) ? (
        <>
          <img
            src={`/api/photos/${photo.id}/thumbnail`}
            alt=""
            className="h-24 w-full border border-edge object-cover object-top"
          />
          <SavePaper paper={photo} />
        </>
      ) : (
        <button
          type="button"
          className="block w-full border border-edge hover:border-ink"
          aria-label={`Measure on ${photo.fileName}`}
          onClick={onOpen}
        >
          <img src={`/api/photos/${photo.id}/thumbnail`} alt="" className="h-24 w-full object-cover" />
        </button>
      )}
      <Select
        aria-label={`What ${photo.fileName} shows`}
        value={photo.role}
        nothing="shows"
        options={roles}
        onChange={(role) => role && onRole(role)}
      />
      <p className="flex justify-between text-[0.78125rem] text-ink2">
        <span>{photo.takenAt ?? ""}</span>
        <button type="button" className="min-h-6 hover:underline" onClick={onRemove}>
          Take away
        </button>
      </p>
    </li>
  );
}

function reason(e: unknown): string {
  const { problems = [], message } = e as {
    problems?: { given: string; accepted: string }[];
    message: string;
  };
  return problems.length > 0 ? problems.map((p) => `${p.given}: ${p.accepted}.`).join(" ") : message;
}
