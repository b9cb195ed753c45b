import type { Photo } from "./types";

/** Whether it is a paper that is kept as it came, and no picture one could look at or measure on. */
export const isPaper = (photo: Photo): boolean => photo.type === "pdf";

/** Those one can look at. */
export const pictures = (photos: Photo[] | undefined): Photo[] => (photos ?? []).filter((p) => !isPaper(p));
