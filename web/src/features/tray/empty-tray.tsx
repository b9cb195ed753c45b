import { useQuery, useQueryClient } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Link } from "react-router";
import { api } from "../../api/client";
import { useToast } from "../../ui/toasts";
import { useTour } from "../tour/use-tour";

/** The ways to begin where nothing is kept yet. */
export function EmptyTray({ onNew, onList }: { onNew: () => void; onList: () => void }) {
  return (
    <section aria-labelledby="tray-empty" className="mt-6">
      <h2 id="tray-empty" className="font-serif text-[1.25rem]">
        The tray is empty.
      </h2>
      <div className="mt-3 grid gap-x-8 gap-y-5 border-t border-ink pt-3 sm:grid-cols-2 lg:grid-cols-4">
        <OneKnifeNow onNew={onNew} />
        <Way
          name="A list I have"
          about="Any table with a row for each knife, pasted or as a file. You see what each row becomes before it is added; what is not understood stays in the note."
        >
          <button type="button" className="press" onClick={onList}>
            Add a list
          </button>
        </Way>
        <Way
          name="What I know of makers"
          about="Snikra comes without real makers. Add marks, years and codes as a reference pack, each with its source. Until then knives are dated by how they are built, and their makers stay open."
        >
          <Link to="/makers" className="press inline-flex items-center">
            Add references
          </Link>
        </Way>
        <Examples />
      </div>
      <NewToThis />
    </section>
  );
}

function OneKnifeNow({ onNew }: { onNew: () => void }) {
  const tour = useTour();
  return (
    <Way
      name="One knife now"
      about="Lay it on the bench and answer what you can see, in any order. Each answer moves the verdict, and what is not looked at stays open."
    >
      <div className="flex flex-wrap gap-2">
        <button type="button" className="press" onClick={onNew}>
          New knife
        </button>
        <button type="button" className="press" onClick={tour}>
          Show me on one, in two minutes
        </button>
      </div>
    </Way>
  );
}

function Way({ name, about, children }: { name: string; about: string; children: ReactNode }) {
  return (
    <div>
      <h3 className="font-semibold">{name}</h3>
      <p className="mt-1 mb-2 text-ink2">{about}</p>
      {children}
    </div>
  );
}

function NewToThis() {
  return (
    <p className="mt-5 text-ink2">
      New to this? The{" "}
      <Link to="/handbook" className="underline">
        handbook
      </Link>{" "}
      begins with a drawer of knives, and has a page for{" "}
      <Link to="/handbook?page=inherited" className="underline">
        whoever inherited some
      </Link>
      .
    </p>
  );
}

function Examples() {
  const queries = useQueryClient();
  const toast = useToast();
  const shelf = useQuery({ queryKey: ["makers"], queryFn: api.makers, staleTime: Number.POSITIVE_INFINITY });
  const examples = (shelf.data?.packs ?? []).filter((p) => p.shipped);
  if (examples.length === 0) return null;
  const on = examples.every((p) => p.on);
  const turn = async (to: boolean) => {
    try {
      for (const pack of examples) await api.switchPack(pack.id, to);
      toast(to ? "The made-up makers are in use." : "The made-up makers are put away.", () => turn(!to));
    } catch (e) {
      toast(`That could not be done. ${(e as Error).message}`);
    }
    // With other references every verdict may be another.
    queries.invalidateQueries();
  };
  return (
    <div>
      <h3 className="font-semibold">Only look around</h3>
      <p className="mt-1 mb-2 text-ink2">
        A few made-up makers show how marks, numbers and date codes are read. None of them ever worked: put
        them away before a knife of yours is judged.
      </p>
      <button type="button" className="press" onClick={() => turn(!on)}>
        {on ? "Put the made-up makers away" : "Use the made-up makers"}
      </button>
    </div>
  );
}
