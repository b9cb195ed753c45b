import { type ReactNode, useId } from "react";

/** A part of a station under a line of its own, with its name and what it is for. */
export function Part({ title, told, children }: { title: string; told: ReactNode; children: ReactNode }) {
  const id = useId();
  return (
    <section aria-labelledby={id} className="mt-3 border-t border-rule pt-2">
      <h3 id={id} className="font-semibold">
        {title}
      </h3>
      <p className="text-ink2">{told}</p>
      {children}
    </section>
  );
}
