import { useEffect } from "react";

/** Tells in the title of the window which page is open. */
export function usePageTitle(name: string) {
  useEffect(() => {
    document.title = `${name} \u2013 Snikra`;
  }, [name]);
}
