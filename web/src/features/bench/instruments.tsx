import { createContext, type ReactNode, useContext, useEffect, useMemo, useRef, useState } from "react";
import { api } from "../../api/client";
import { useToast } from "../../ui/toasts";
import { meanWords } from "./readings";

export type Reads = "length" | "force" | "mass";

interface Instruments {
  /** One reading by the instrument for it; nothing when it does not answer, which is then told. */
  read: (kind: Reads, field: string) => Promise<string | undefined>;
}

const Context = createContext<Instruments | null>(null);

/** The instruments of the bench: asked for a reading, or sending one by themselves to the field in hand. */
export function InstrumentsProvider({ knife, children }: { knife: string; children: ReactNode }) {
  const toast = useToast();
  useEffect(() => {
    const stream = new EventSource("/api/devices/stream");
    let isLost = false;
    stream.onmessage = (e) => {
      const { reading } = JSON.parse(e.data as string) as { device: string; reading: string };
      const field = document.activeElement;
      if (field instanceof HTMLElement && field.dataset.reads)
        field.dispatchEvent(new CustomEvent("reading", { detail: reading }));
      else toast(`An instrument sent ${reading}. Put the cursor where it belongs and send it again.`);
    };
    stream.onerror = () => {
      if (!isLost) toast("The instruments are out of reach. They are tried again; typing goes on.");
      isLost = true;
    };
    stream.onopen = () => {
      isLost = false;
    };
    return () => stream.close();
  }, [toast]);
  const value = useMemo<Instruments>(
    () => ({
      read: async (kind, field) => {
        try {
          return (await api.reading(kind, field, knife)).reading;
        } catch (e) {
          toast((e as Error).message);
          return undefined;
        }
      },
    }),
    [knife, toast],
  );
  return <Context value={value}>{children}</Context>;
}

/**
 * What a field needs to take readings: one stands as it is, from the third on their mean does. Typing or
 * leaving begins anew.
 */
export function useReadings(
  kind: Reads,
  field: string,
  onReading: (reading: string) => void,
  isList = false,
): {
  reads: Reads;
  onRead: () => void;
  onReading: (reading: string) => void;
  told?: string;
  onLeave: () => void;
} {
  const instruments = useContext(Context);
  const taken = useRef<string[]>([]);
  const [told, setTold] = useState<string>();
  const take = async (reading: string) => {
    taken.current = [...taken.current, reading];
    if (taken.current.length < 3 || isList) {
      setTold(undefined);
      return onReading(reading);
    }
    const read = await api.mean(taken.current).catch(() => undefined);
    setTold(read && meanWords(read));
    onReading(read?.mean && read.unit ? `${Number(read.mean.mean.toFixed(2))} ${read.unit}` : reading);
  };
  return {
    reads: kind,
    told,
    onReading: take,
    onRead: async () => {
      const reading = await instruments?.read(kind, field);
      if (reading) take(reading);
    },
    onLeave: () => {
      taken.current = [];
    },
  };
}
