import { type Reading, usePreferences } from "./preferences";
import { Dialog } from "./ui/dialog";
import { Key } from "./ui/key";

const KEYS: [string, [string, string][]][] = [
  [
    "Anywhere",
    [
      ["B", "to the bench"],
      ["T", "to the tray"],
      ["N", "a new knife on the bench"],
      ["U", "inches or millimetres"],
      ["?", "this list"],
    ],
  ],
  [
    "At the bench",
    [
      ["1 \u2026 9, 0", "to a station, in working order"],
      ["G", "to what is next"],
      ["Ctrl Z", "undo"],
      ["Ctrl Shift Z", "redo"],
    ],
  ],
  [
    "Reading a mark",
    [
      [".", "a letter that cannot be read"],
      ["?", "the letter before is doubtful, or no longer"],
      ["*", "a stretch of unknown length"],
      ["Enter", "next line"],
    ],
  ],
  [
    "In the tray",
    [
      ["/", "search"],
      ["\u2190 \u2192", "from knife to knife"],
      ["Enter", "to the bench with it"],
      ["Delete", "take it out of the tray"],
    ],
  ],
];

/** Every key, and the two settings that go with reading and typing. */
export function Help({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { reading, setReading, singleKeys, setSingleKeys } = usePreferences();
  return (
    <Dialog open={open} onClose={onClose} title="All keys">
      <div className="mt-4 grid gap-x-8 gap-y-5 sm:grid-cols-2">
        {KEYS.map(([where, keys]) => (
          <section key={where}>
            <h3 className="voice text-ink2">{where}</h3>
            <dl className="mt-1">
              {keys.map(([key, does]) => (
                <div key={key} className="flex justify-between gap-4 border-t border-rule py-1">
                  <dt>
                    <Key>{key}</Key>
                  </dt>
                  <dd className="text-right">{does}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
      <div className="mt-5 flex flex-wrap gap-x-8 gap-y-3 border-t border-ink pt-4">
        <label className="flex items-center gap-2">
          <input type="checkbox" checked={singleKeys} onChange={(e) => setSingleKeys(e.target.checked)} />
          Single keys give commands
        </label>
        <fieldset className="flex items-center gap-2">
          <legend className="float-left mr-2">Reading size</legend>
          {(["normal", "large", "larger"] as Reading[]).map((r) => (
            <button
              key={r}
              type="button"
              className="press"
              aria-pressed={reading === r}
              onClick={() => setReading(r)}
            >
              {r}
            </button>
          ))}
        </fieldset>
      </div>
      <h3 className="voice mt-5 text-ink2">With care</h3>
      <p className="mt-1 text-ink2">
        Springs close blades on fingers: hold the handle, keep fingers out of the path of the edge, do not
        force a stuck joint and do not snap blades for show. Old celluloid can give off a corrosive vapour and
        burns: keep it apart and aired. Trade in ivory, tortoiseshell and some woods and antler may be
        restricted, and so may the carrying and posting of knives: look up the law where you are. Values are
        opinions; for insurance, tax and estates ask a licensed appraiser. Cleaning lowers value: do nothing
        that cannot be undone.
      </p>
    </Dialog>
  );
}
