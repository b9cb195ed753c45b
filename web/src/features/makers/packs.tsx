import { type RefObject, useRef, useState } from "react";
import { api } from "../../api/client";
import type { MakersPack } from "../../api/types";
import { Dialog } from "../../ui/dialog";
import { LookedAt } from "./looked-at";
import { MarksOutOfATable } from "./marks-out-of-a-table";
import { OwnSteps } from "./own-steps";
import { PackRow } from "./pack-row";
import { Trial } from "./trial";
import { usePacks } from "./use-packs";

/** The reference packs: which are in use, what is odd about them, and files in and out. */
export function Packs({ packs }: { packs: MakersPack[] }) {
  const { looked, close, isReading, look, add, turn, remove } = usePacks();
  const button = useRef<HTMLButtonElement>(null);
  const [tried, setTried] = useState<MakersPack>();
  const tryButton = useRef<HTMLButtonElement>(null);
  return (
    <section aria-labelledby="packs-name" className="no-print mt-6 border-t border-ink pt-2">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 id="packs-name" className="text-[1.1875rem]/[1.375rem]">
          Reference packs
        </h2>
        <AddAPack button={button} isReading={isReading} onFile={look} />
        <MarksOutOfATable />
        <p role="status" className="voice text-ink2">
          {isReading ? "Reading the pack." : ""}
        </p>
      </div>
      <OwnSteps />
      <ul className="mt-1">
        {packs.map((p) => (
          <PackRow
            key={p.id}
            pack={p}
            onSwitch={(on) => turn(p, on)}
            onTry={(e) => {
              tryButton.current = e.currentTarget;
              setTried(p);
            }}
            onRemove={() => remove(p)}
          />
        ))}
      </ul>
      <Dialog
        open={looked !== undefined}
        onClose={close}
        from={button}
        title={looked?.brought ? looked.brought.title : "This pack cannot be used"}
      >
        {looked && <LookedAt looked={looked} onTake={() => add(looked.file)} />}
      </Dialog>
      <Dialog
        open={tried !== undefined}
        onClose={() => setTried(undefined)}
        from={tryButton}
        title={`${tried?.title}, switched ${tried?.on ? "off" : "on"}`}
      >
        {tried && <Trial begin={() => api.trySwitch(tried.id, !tried.on)} />}
      </Dialog>
    </section>
  );
}

function AddAPack({
  button,
  isReading,
  onFile,
}: {
  button: RefObject<HTMLButtonElement | null>;
  isReading: boolean;
  onFile: (file: File) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button
        ref={button}
        type="button"
        className="press"
        aria-busy={isReading}
        onClick={() => input.current?.click()}
      >
        Add a pack
      </button>
      <input
        ref={input}
        type="file"
        aria-label="Pack to add"
        accept=".yaml,.yml"
        hidden
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) onFile(file);
          e.target.value = "";
        }}
      />
    </>
  );
}
