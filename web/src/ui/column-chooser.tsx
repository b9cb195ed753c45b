import { Select } from "./select";

interface Column {
  title: string;
  field: string;
  sample: string;
}

/** What each column of a table was taken for, to be told otherwise. */
export function ColumnChooser({
  columns,
  fields,
  onChange,
}: {
  columns: Column[];
  fields: { id: string; label: string }[];
  onChange: (as: string[]) => void;
}) {
  return (
    <div className="mt-2 overflow-x-auto">
      <table className="text-left" aria-label="Columns">
        <tbody>
          {columns.map((c, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a column is known by its place
            <tr key={i} className="border-t border-rule">
              <th className="min-w-16 py-1 pr-4 font-normal break-words">{c.title}</th>
              <td className="min-w-32 pr-4">
                <Select
                  aria-label={`What ${c.title} is`}
                  value={c.field}
                  nothing="choose"
                  options={fields}
                  onChange={(field) =>
                    field && onChange(columns.map((other, at) => (at === i ? field : other.field)))
                  }
                />
              </td>
              <td className="max-w-[16rem] truncate text-ink2 max-sm:max-w-[7rem]">{c.sample}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
