import type { Photo } from "../api/types";

const KB = 1024;

/** A paper that came as a file, to be had back just as it came. */
export function SavePaper({ paper }: { paper: Photo }) {
  return (
    <a
      href={`/api/photos/${paper.id}/original`}
      download={paper.fileName}
      className="inline-block min-h-6 break-words text-[0.8125rem]/5 underline"
    >
      <span className="no-print">Save </span>
      {paper.fileName}
      <span className="text-ink2"> (PDF, {Math.ceil(paper.sizeBytes / KB).toLocaleString()} kB)</span>
    </a>
  );
}
