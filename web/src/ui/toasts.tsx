import { Toast } from "radix-ui";
import { createContext, type ReactNode, useCallback, useContext, useState } from "react";

interface Note {
  id: string;
  text: string;
  undo?: () => unknown;
}

const Context = createContext<(text: string, undo?: () => unknown) => void>(() => {});

/** Says what was done, with a way back where there is one. */
export const useToast = () => useContext(Context);

export function ToastProvider({ children }: { children: ReactNode }) {
  const [notes, setNotes] = useState<Note[]>([]);
  const say = useCallback((text: string, undo?: () => unknown) => {
    setNotes((all) => [...all.slice(-2), { id: crypto.randomUUID(), text, undo }]);
  }, []);
  // A way back that is refused is said as well, and can be tried again.
  const goBack = async (undo: () => unknown) => {
    try {
      await undo();
    } catch (e) {
      say(`It was not undone. ${(e as Error).message}`, undo);
    }
  };
  return (
    <Context value={say}>
      <Toast.Provider duration={12000} swipeDirection="down">
        {children}
        {notes.map((n) => (
          <OneNote
            key={n.id}
            note={n}
            onUndo={goBack}
            onGone={() => setNotes((all) => all.filter((o) => o.id !== n.id))}
          />
        ))}
        {/* Of one width, so that a way back does not slide from under the pointer when a longer note goes. */}
        <Toast.Viewport className="fixed bottom-4 left-1/2 z-40 flex w-[min(30rem,94vw)] -translate-x-1/2 flex-col gap-2" />
      </Toast.Provider>
    </Context>
  );
}

function OneNote({
  note: { text, undo },
  onUndo,
  onGone,
}: {
  note: Note;
  onUndo: (undo: () => unknown) => void;
  onGone: () => void;
}) {
  return (
    <Toast.Root
      onOpenChange={(open) => !open && onGone()}
      className="flex items-center gap-4 border border-ink bg-ink px-4 py-2 text-paper"
    >
      <Toast.Description className="grow">{text}</Toast.Description>
      {undo && (
        <Toast.Action asChild altText="Undo">
          <button
            type="button"
            onClick={() => onUndo(undo)}
            className="shrink-0 underline underline-offset-2"
          >
            Undo
          </button>
        </Toast.Action>
      )}
      <Toast.Close aria-label="Dismiss" className="shrink-0 text-paper/80">
        Close
      </Toast.Close>
    </Toast.Root>
  );
}
