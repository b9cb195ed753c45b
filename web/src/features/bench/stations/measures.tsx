import type { Quantity } from "../../../api/types";
import { withUnit } from "../../../format";
import { usePreferences } from "../../../preferences";
import { TextField } from "../../../ui/text-field";
import { useReadings } from "../instruments";
import type { StationProps } from "../panel";
import { useMean } from "../readings";
import type { Knife } from "../use-knife";

/** Readings of one station, several of one thing parted by a semicolon; their mean and spread beside them. */
export function Measures({ knife, book, station }: StationProps & { station: string }) {
  return book.quantities
    .filter((q) => q.station === station)
    .map((q) => <Measure key={q.id} knife={knife} quantity={q} />);
}

function Measure({ knife, quantity: q }: { knife: Knife; quantity: Quantity }) {
  const { units } = usePreferences();
  const readings = knife.specimen.measured[q.id] ?? [];
  const set = (with_: (now: string[]) => string[]) =>
    knife.change((s) => {
      const { [q.id]: now = [], ...rest } = s.measured;
      const all = with_(now);
      return { ...s, measured: all.length > 0 ? { ...rest, [q.id]: all } : rest };
    });
  const instrument = useReadings(
    q.kind === "scale" ? "length" : q.kind,
    `measured.${q.id}`,
    (reading) => set((now) => [...now, reading]),
    true,
  );
  return (
    <TextField
      label={q.label}
      hint={useMean(readings) ?? q.ask}
      problem={knife.problems.find((p) => p.field.startsWith(`measured.${q.id}[`))}
      placeholder="not yet measured"
      value={readings.join("; ") || undefined}
      readings={q.kind === "scale" ? undefined : instrument}
      onCommit={(text) =>
        set(() => parted(text ?? "").map((t) => (q.kind === "length" ? withUnit(t, units) : t)))
      }
    />
  );
}

const parted = (text: string): string[] =>
  text
    .split(";")
    .map((t) => t.trim())
    .filter(Boolean);
