/** Mean and spread in the unit of the first reading, where all are of one unit. */
export function meanWords(readings: string[]): string {
  const parts = readings.map((r) => /^(-?[\d.,]+)\s*(.*)$/.exec(r));
  const units = new Set(parts.map((p) => p?.[2]));
  const values = parts.map((p) => Number((p?.[1] ?? "").replace(",", ".")));
  if (units.size !== 1 || values.some(Number.isNaN)) return `${readings.length} readings`;
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  const spread = Math.sqrt(values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (values.length - 1));
  const digits = Math.max(...readings.map((r) => (/[.,](\d+)/.exec(r)?.[1] ?? "").length));
  return `${readings.length} readings: mean ${mean.toFixed(digits)} ${[...units][0]}, spread ${spread.toFixed(digits + 1)}`;
}
