import { useQuery, useQueryClient } from "@tanstack/react-query";
import { api } from "../../api/client";
import { isPaper } from "../../api/papers";
import type { Photo } from "../../api/types";
import { AddFiles } from "../../ui/add-files";
import { SavePaper } from "../../ui/save-paper";
import { useAttempt } from "../../ui/use-attempt";

/** The pictures of sales, by the sale they are of. */
export function useSalePictures() {
  const queries = useQueryClient();
  const pictures = useQuery({ queryKey: ["sale-pictures"], queryFn: api.salePictures });
  const of = (sale: string | undefined): Photo[] =>
    (pictures.data ?? []).filter((p) => p.sale === sale).map((p) => p.photo);
  return { of, refresh: () => queries.invalidateQueries({ queryKey: ["sale-pictures"] }) };
}

/** Pictures of what was sold: those that are kept, and those that will be with the sale. */
export function PicturesOfSale({
  sale,
  chosen,
  onChosen,
}: {
  sale: string | undefined;
  chosen: File[];
  onChosen: (files: File[]) => void;
}) {
  const { of, refresh } = useSalePictures();
  const attempt = useAttempt(refresh);
  const takeAway = (p: Photo) =>
    attempt(
      () => api.removePhoto(p.id),
      `${p.fileName} was taken away.`,
      () => api.restorePhoto(p.id),
    );
  return (
    <section aria-label="Pictures" className="mt-3">
      <ul className="flex flex-wrap gap-x-4 gap-y-2 empty:hidden">
        {of(sale).map((p) => (
          <Kept key={p.id} picture={p} onTakeAway={() => takeAway(p)} />
        ))}
        {chosen.map((file, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: two files may have one name
          <li key={i} className="max-w-36 break-words">
            {file.name}, kept with the sale{" "}
            <Leave what={file.name} onLeave={() => onChosen(chosen.filter((f) => f !== file))} />
          </li>
        ))}
      </ul>
      <p className="mt-1 flex flex-wrap items-baseline gap-x-4">
        <AddFiles
          label="Add a picture"
          hidden="Pictures of the sale to add"
          onFiles={(files) => onChosen([...chosen, ...files])}
        />
        <span className="text-ink2">of the knife, or of the page that tells of it</span>
      </p>
    </section>
  );
}

function Kept({ picture, onTakeAway }: { picture: Photo; onTakeAway: () => void }) {
  const small = (
    <img
      src={`/api/photos/${picture.id}/thumbnail`}
      alt={picture.fileName}
      className="h-24 w-36 border border-edge object-cover object-top"
    />
  );
  return (
    <li className="w-36">
      {isPaper(picture) ? (
        <>
          {small}
          <SavePaper paper={picture} />
        </>
      ) : (
        <a href={`/api/photos/${picture.id}/view`} target="_blank" rel="noreferrer">
          {small}
        </a>
      )}
      <Leave what={picture.fileName} onLeave={onTakeAway} />
    </li>
  );
}

function Leave({ what, onLeave }: { what: string; onLeave: () => void }) {
  return (
    <button type="button" className="min-h-6 text-ink2 underline" onClick={onLeave}>
      Take away<span className="sr-only"> {what}</span>
    </button>
  );
}

/** A small one beside what was sold, where there is one. */
export function SmallPicture({ picture }: { picture: Photo | undefined }) {
  return picture ? (
    <img
      src={`/api/photos/${picture.id}/thumbnail`}
      alt=""
      className="mr-2 inline-block h-8 w-12 border border-edge object-cover align-middle"
    />
  ) : null;
}
