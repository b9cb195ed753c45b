import type { ReactNode } from "react";

/** The name of a page over a line, what it holds beside it, and the ways on at its right. */
export function PageHead({
  title,
  about,
  children,
}: {
  title: ReactNode;
  about?: ReactNode;
  children?: ReactNode;
}) {
  return (
    <header className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-ink pb-1">
      <h1 className="text-[1.5625rem]/[1.75rem] tracking-tight">{title}</h1>
      {about && <p className="text-ink2">{about}</p>}
      {children}
    </header>
  );
}

/** A page under the head of the application; a sheet is printed without its margins. */
export function Page({ isSheet, children }: { isSheet?: boolean; children: ReactNode }) {
  return <main className={`px-4 pt-3 pb-8 lg:px-6 ${isSheet ? "sheet print:p-0" : ""}`}>{children}</main>;
}
