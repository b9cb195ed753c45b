/** Names of the stations, as they stand on the rule. */
export const STATION_NAMES: Record<string, string> = {
  pattern: "Pattern",
  blades: "Blades",
  marks: "Marks",
  number: "Number",
  shield: "Shield",
  handle: "Handle",
  frame: "Frame",
  condition: "Condition",
  story: "Story",
  value: "Value",
};

/** The key of a station: 1 to 9, then 0. */
export const stationKey = (place: number) => `${(place + 1) % 10}`;
