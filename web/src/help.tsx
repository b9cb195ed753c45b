import { type Parts, type Reading, type School, usePreferences } from "./preferences";
import { Dialog } from "./ui/dialog";
import { Key } from "./ui/key";

const KEYS: [string, [string, string][]][] = [
  [
    "Anywhere",
    [
      ["B", "to the bench"],
      ["T", "to the tray"],
      ["M", "to the makers"],
      ["Y", "to the sales book"],
      ["X", "to the ledger"],
      ["K", "to safe keeping: copies, what was taken out, whether all is as it was"],
      ["W", "to the words of the trade, those of this station first"],
      ["N", "a new knife on the bench"],
      ["Q", "a quick look at a knife on a stall"],
      ["I", "practice: judge a knife yourself"],
      ["H", "the handbook: from a drawer of knives to a filed collection"],
      ["U", "inches or millimetres"],
      ["?", "this list"],
    ],
  ],
  [
    "At the bench",
    [
      ["1 \u2026 9, 0", "to a station, in working order"],
      ["C S V", "to condition, story and value"],
      [
        "A",
        "to the answers of the question in hand; there 1 \u2026 9 answer, 0 cannot tell, \u2191 \u2193 another question",
      ],
      ["R", "the same as the knife before, at this station"],
      ["=", "this blade as the one before, in what blades of a knife share"],
      ["D", "the drawing larger or smaller"],
      ["G", "to what is next"],
      ["+", "one more: blade, sign, event, sale"],
      ["Enter", "take what was typed, and give the keys back"],
      ["Esc", "leave a list or a field as it is, and give the keys back"],
      ["P", "the verdict sheet; there, print it"],
      ["J", "its journal"],
      ["L", "the knife beside its lookalikes"],
      ["Ctrl Z", "undo"],
      ["Ctrl Shift Z", "redo"],
    ],
  ],
  [
    "Measuring",
    [
      ["F2", "read the instrument into the field; from the third on, the mean"],
      ["Enter", "take what a wedge instrument typed"],
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
    "Among the makers",
    [
      ["/", "search in all marks"],
      ["\u2191 \u2193", "from maker to maker"],
      ["G", "only the gaps of a set, and back"],
      [
        "\u2190 \u2192",
        "on a time line: an end of a bar by a year, with Shift by ten; Enter keeps it, Esc puts it back",
      ],
    ],
  ],
  [
    "In the tray",
    [
      ["/", "search: words, years, lengths, prices, \u201chandle stag\u201d"],
      ["F", "to what they have in common, to narrow down"],
      ["\u2190 \u2192", "from knife to knife"],
      ["Enter", "to the bench with it"],
      ["Delete", "take it out of the tray"],
    ],
  ],
  [
    "Side by side",
    [
      ["D", "closed, half open, open"],
      ["O", "one over the other, and back"],
    ],
  ],
];

/** Every key, and the two settings that go with reading and typing. */
export function Help({
  open,
  onClose,
  cautions,
}: {
  open: boolean;
  onClose: () => void;
  cautions: { id: string; text: string }[];
}) {
  return (
    <Dialog open={open} onClose={onClose} title="All keys">
      <EveryKey />
      <Settings />
      <h3 className="voice mt-5 text-ink2">With care</h3>
      <ul className="mt-1 text-ink2">
        {cautions.map((c) => (
          <li key={c.id} className="border-t border-rule py-1">
            {c.text}
          </li>
        ))}
      </ul>
    </Dialog>
  );
}

function EveryKey() {
  return (
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
  );
}

function Settings() {
  const { parts, setParts, reading, setReading, school, setSchool, singleKeys, setSingleKeys } =
    usePreferences();
  return (
    <>
      <div className="mt-5 flex flex-wrap gap-x-8 gap-y-3 border-t border-ink pt-4">
        <label className="flex items-center gap-2">
          <input type="checkbox" checked={singleKeys} onChange={(e) => setSingleKeys(e.target.checked)} />
          Single keys give commands
        </label>
        <OneOf
          label="Reading size"
          className="flex items-center gap-2"
          choices={READING}
          value={reading}
          onChange={setReading}
        />
      </div>
      <OneOf label="Inches read in" choices={PARTS} value={parts} onChange={setParts} />
      <OneOf label="Names at the head of the page" choices={SCHOOLS} value={school} onChange={setSchool} />
    </>
  );
}

const READING: [Reading, string][] = [
  ["normal", "normal"],
  ["large", "large"],
  ["larger", "larger"],
];
const PARTS: [Parts, string][] = [
  ["16", "sixteenths"],
  ["32", "thirty-seconds"],
];
const SCHOOLS: [School, string][] = [
  ["strict", "by the historical definition"],
  ["trade", "as sellers say today"],
];

function OneOf<T extends string>({
  label,
  className = "mt-3 flex flex-wrap items-center gap-2",
  choices,
  value,
  onChange,
}: {
  label: string;
  className?: string;
  choices: [T, string][];
  value: T;
  onChange: (choice: T) => void;
}) {
  return (
    <fieldset className={className}>
      <legend className="float-left mr-2">{label}</legend>
      {choices.map(([choice, words]) => (
        <button
          key={choice}
          type="button"
          className="press"
          aria-pressed={value === choice}
          onClick={() => onChange(choice)}
        >
          {words}
        </button>
      ))}
    </fieldset>
  );
}
