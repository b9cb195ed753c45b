/** Names of the stations, as they stand on the rule. */
export const STATION_NAMES: Record<string, string> = {
  pattern: "Pattern",
  blades: "Blades",
  marks: "Marks",
  number: "Number",
  shield: "Shield",
  handle: "Handle",
  frame: "Frame",
  tools: "Tools",
  action: "Action",
  box: "Box",
  condition: "Condition",
  story: "Story",
  value: "Value",
};

/** Keys of the stations: figures for the first ten, then the letters they begin with. */
const LETTERS: Record<string, string> = { condition: "C", story: "S", value: "V" };

export const stationKey = (station: string, place: number) => LETTERS[station] ?? `${(place + 1) % 10}`;
