import { useRef } from "react";

/** A press that lets one choose pictures and papers. */
export function AddFiles({
  label,
  hidden,
  onFiles,
}: {
  label: string;
  /** What the choice of files is called to who does not see the press. */
  hidden: string;
  onFiles: (files: File[]) => void;
}) {
  const file = useRef<HTMLInputElement>(null);
  return (
    <>
      <button type="button" className="press" onClick={() => file.current?.click()}>
        {label}
      </button>
      <input
        ref={file}
        type="file"
        aria-label={hidden}
        accept="image/jpeg,image/png,application/pdf"
        multiple
        hidden
        onChange={(e) => {
          onFiles([...(e.target.files ?? [])]);
          e.target.value = "";
        }}
      />
    </>
  );
}
