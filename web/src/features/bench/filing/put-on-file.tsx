import { useRef, useState } from "react";
import { api } from "../../../api/client";
import type { Book, MarkSlip, Specimen } from "../../../api/types";
import { useToast } from "../../../ui/toasts";
import { Slip } from "./slip";

/** Opens a slip filled in from the mark of the knife in hand. */
export function PutOnFile({ specimen, book }: { specimen: Specimen; book: Book }) {
  const button = useRef<HTMLButtonElement>(null);
  const [first, setFirst] = useState<MarkSlip>();
  const [isWorking, setWorking] = useState(false);
  const toast = useToast();
  const open = async () => {
    setWorking(true);
    try {
      setFirst(await api.slip(specimen));
    } catch (e) {
      toast(`No slip could be made out. ${(e as Error).message}`);
    }
    setWorking(false);
  };
  return (
    <div className="no-print mt-2">
      <button ref={button} type="button" className="press" aria-busy={isWorking} onClick={open}>
        Put this mark on file
      </button>
      {first && (
        <Slip
          specimen={specimen}
          first={first}
          book={book}
          from={button}
          onClose={() => setFirst(undefined)}
        />
      )}
    </div>
  );
}
