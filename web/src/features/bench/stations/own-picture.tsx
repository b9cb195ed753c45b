import { useQuery } from "@tanstack/react-query";
import { useParams } from "react-router";
import { api } from "../../../api/client";
import { isPaper } from "../../../api/papers";
import { Field } from "../../../ui/field";
import { SavePaper } from "../../../ui/save-paper";
import { Select } from "../../../ui/select";

/**
 * One of the photographs of this knife, shown as it is chosen; nothing at all while it has none. Where a paper
 * will do as well, those that came as a file are offered too.
 */
export function OwnPicture({
  label,
  alt,
  value,
  orPaper = false,
  onChange,
}: {
  label: string;
  alt: string;
  value: string | undefined;
  orPaper?: boolean;
  onChange: (photo: string | undefined) => void;
}) {
  const { id = "" } = useParams();
  const photos = useQuery({ queryKey: ["photos", id], queryFn: () => api.photos(id), enabled: id !== "" });
  const all = photos.data ?? [];
  const options = all.flatMap((p, i) =>
    isPaper(p)
      ? orPaper
        ? [{ id: p.id, label: p.fileName }]
        : []
      : [{ id: p.id, label: `${i + 1}, ${p.role.replace("-", " ")}` }],
  );
  if (options.length === 0) return null;
  const isThere = options.some((o) => o.id === value);
  const chosen = isThere ? all.find((p) => p.id === value) : undefined;
  return (
    <Field label={label} hint={value && !isThere ? "It is no longer among the photographs." : undefined}>
      {(ids) => (
        <>
          <Select {...ids} value={value} nothing="none" options={options} onChange={onChange} />
          {chosen && isPaper(chosen) && <SavePaper paper={chosen} />}
          {chosen && !isPaper(chosen) && (
            <img
              src={`/api/photos/${chosen.id}/view`}
              alt={alt}
              className="mt-1 h-20 w-full border border-edge object-cover"
            />
          )}
        </>
      )}
    </Field>
  );
}
