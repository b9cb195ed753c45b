interface Read {
  separator: string;
  encoding: string;
  headed: boolean;
}

/** How a table was understood, as its report begins. */
export const readAs = (rows: number, { separator, encoding, headed }: Read) =>
  `${rows.toLocaleString()} ${rows === 1 ? "row" : "rows"}, parted by ${separator}, read as ${encoding}${headed ? "" : ", without headings"}`;
