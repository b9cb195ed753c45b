import { useQuery } from "@tanstack/react-query";
import { useParams } from "react-router";
import { api } from "../../../api/client";
import { Field } from "../../../ui/field";
import { Select } from "../../../ui/select";

/** One of the photographs of this knife, shown as it is chosen; nothing at all while it has none. */
export function OwnPicture({
  label,
  alt,
  value,
  onChange,
}: {
  label: string;
  alt: string;
  value: string | undefined;
  onChange: (photo: string | undefined) => void;
}) {
  const { id = "" } = useParams();
  const photos = useQuery({ queryKey: ["photos", id], queryFn: () => api.photos(id), enabled: id !== "" });
  const options = (photos.data ?? []).map((p, i) => ({ id: p.id, label: `${i + 1}, ${p.role}` }));
  if (options.length === 0) return null;
  const isThere = options.some((o) => o.id === value);
  return (
    <Field label={label} hint={value && !isThere ? "It is no longer among the photographs." : undefined}>
      {(ids) => (
        <>
          <Select {...ids} value={value} nothing="none" options={options} onChange={onChange} />
          {value && isThere && (
            <img
              src={`/api/photos/${value}/view`}
              alt={alt}
              className="mt-1 h-20 w-full border border-edge object-cover"
            />
          )}
        </>
      )}
    </Field>
  );
}
