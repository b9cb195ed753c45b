import { useToast } from "./toasts";

/** Does what was pressed, tells what came of it with the way back, and looks again. */
export function useAttempt(again: () => unknown) {
  const toast = useToast();
  const attempt = async (
    done: () => Promise<unknown>,
    text?: string,
    undo?: () => Promise<unknown>,
  ): Promise<void> => {
    try {
      await done();
      if (text) toast(text, undo && (() => attempt(undo, "As it was before.")));
    } catch (e) {
      toast(`That could not be done. ${(e as Error).message}`);
    }
    await again();
  };
  return attempt;
}

export type Attempt = ReturnType<typeof useAttempt>;
