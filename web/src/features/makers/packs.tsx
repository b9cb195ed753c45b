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
      <Rows packs={packs} onSwitch={turn} onRemove={remove} />
      <Dialog
        open={looked !== undefined}
        onClose={close}
        from={button}
        title={looked?.brought ? looked.brought.title : "This pack cannot be used"}
      >
        {looked && <LookedAt looked={looked} onTake={() => add(looked.file)} />}
      </Dialog>
    </section>
  );
}

/** Every pack with its switch; what it would move is tried in a window of its own. */
function Rows({
  packs,
  onSwitch,
  onRemove,
}: {
  packs: MakersPack[];
  onSwitch: (pack: MakersPack, on: boolean) => void;
  onRemove: (pack: MakersPack) => void;
}) {
  const [tried, setTried] = useState<MakersPack>();
  const opener = useRef<HTMLButtonElement>(null);
  return (
    <>
      <ul className="mt-1">
        {packs.map((p) => (
          <PackRow
            key={p.id}
            pack={p}
            onSwitch={(on) => onSwitch(p, on)}
            onTry={(e) => {
              opener.current = e.currentTarget;
              setTried(p);
            }}
            onRemove={() => onRemove(p)}
          />
        ))}
      </ul>
      <Dialog
        open={tried !== undefined}
        onClose={() => setTried(undefined)}
        from={opener}
        title={`${tried?.title}, switched ${tried?.on ? "off" : "on"}`}
      >
        {tried && <Trial begin={() => api.trySwitch(tried.id, !tried.on)} />}
      </Dialog>
    </>
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
