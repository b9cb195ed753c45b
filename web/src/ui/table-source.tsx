import { type RefObject, useRef, useState } from "react";

/** Where a table comes from: a file that is chosen or dropped, or rows that are pasted. */
export function TableSource({ label, currency, onCurrency, onFile }: OfSource) {
  const input = useRef<HTMLInputElement>(null);
  const read = useRef("");
  const take = (file: File | undefined) => {
    read.current = "";
    if (file) onFile(file);
  };
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the same is done by the button
    <div
      className="mt-3"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        take(e.dataTransfer.files[0]);
      }}
    >
      <div className="flex flex-wrap items-end gap-4">
        <button type="button" className="press" onClick={() => input.current?.click()}>
          Choose a file
        </button>
        <input
          ref={input}
          type="file"
          aria-label={label}
          accept=".csv,.tsv,.txt,text/csv,text/plain"
          hidden
          onChange={(e) => {
            take(e.target.files?.[0]);
            e.target.value = "";
          }}
        />
        {onCurrency && <UsualMoney currency={currency} onCurrency={onCurrency} />}
      </div>
      <Pasted read={read} onFile={onFile} />
    </div>
  );
}

interface OfSource {
  label: string;
  /** Of amounts that do not say; none where a table holds no amounts. */
  currency?: string;
  /** Told when the field is left with another. */
  onCurrency?: (currency: string) => void;
  onFile: (file: File) => void;
}

function UsualMoney({
  currency,
  onCurrency,
}: Required<Pick<OfSource, "onCurrency">> & { currency?: string }) {
  const [usual, setUsual] = useState(currency ?? "");
  return (
    <label>
      <span className="block text-ink2">Amounts without a currency are in</span>
      <input
        className="entry !w-20"
        value={usual}
        maxLength={3}
        onChange={(e) => setUsual(e.target.value.toUpperCase())}
        onBlur={() => usual !== currency && onCurrency(usual)}
      />
    </label>
  );
}

function Pasted({ read, onFile }: { read: RefObject<string>; onFile: (file: File) => void }) {
  const [pasted, setPasted] = useState("");
  return (
    <label className="mt-2 block">
      <span className="block text-ink2">or paste rows out of a spreadsheet, or drop a file here</span>
      <textarea
        rows={3}
        className="entry font-mono"
        data-first
        value={pasted}
        onChange={(e) => setPasted(e.target.value)}
        onBlur={() => {
          // Left as it was there is nothing new to read, and what was told of its columns holds.
          if (!pasted.trim() || pasted === read.current) return;
          read.current = pasted;
          onFile(new File([pasted], "what was pasted"));
        }}
      />
    </label>
  );
}
