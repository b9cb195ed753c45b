import type { KeptWant } from "../../api/types";

/** What is wanted, as it is called: by what is on file, or by what one wrote. */
export const nameOf = ({ want, told }: KeptWant): string =>
  [told.maker, told.model ?? told.pattern].filter(Boolean).join(", ") ||
  want.note ||
  "What is no longer on file";
