import benchCondition from "../../../../docs/screenshots/bench-condition.png";
import benchMarks from "../../../../docs/screenshots/bench-marks.png";
import benchPattern from "../../../../docs/screenshots/bench-pattern.png";
import benchValue from "../../../../docs/screenshots/bench-value.png";
import calibration from "../../../../docs/screenshots/calibration.png";
import catalogue from "../../../../docs/screenshots/catalogue.png";
import collection from "../../../../docs/screenshots/collection.png";
import ledger from "../../../../docs/screenshots/ledger.png";
import makers from "../../../../docs/screenshots/makers.png";
import practice from "../../../../docs/screenshots/practice.png";
import provenance from "../../../../docs/screenshots/provenance.png";
import quickLook from "../../../../docs/screenshots/quick-look.png";
import tray from "../../../../docs/screenshots/tray.png";
import verdictSheet from "../../../../docs/screenshots/verdict-sheet.png";

export interface Leaf {
  id: string;
  title: string;
  text: string[];
  /** What one does, one thing after the other. */
  steps?: string[];
  picture?: { src: string; says: string };
  /** Where one goes from here: address and words. */
  go?: [string, string][];
}

/** From a drawer of knives to a filed collection, page by page. */
export const LEAVES: Leaf[] = [
  {
    id: "drawer",
    title: "From a drawer to a tray",
    text: [
      "Begin with what lies nearest, not with the best. A knife is laid out with one key, and everything you enter is saved as you enter it; there is no button for it, and closing the page loses nothing.",
      "Give each knife a number on a slip of paper and put the two together. The number is what ties the knife in your hand to the one on the screen, whatever the two of you find out later.",
    ],
    steps: [
      "N lays a new knife on the bench; its number stands above its name.",
      "Enter as much as you see at a glance: outline, bolsters, how many blades. Leave the rest.",
      "T goes back to the tray. Take the next knife.",
      "If you have a list already, the tray adds it: any table, looked at row by row before anything is added.",
    ],
    picture: { src: tray, says: "The tray: every knife as a drawing, with who and when" },
    go: [["/tray", "To the tray"]],
  },
  {
    id: "shape",
    title: "Shape and blades: what it is called",
    text: [
      "A pattern is its outline, its blades and how they lie on their springs. Choose the outline that looks like yours; turn the knife over and look at its back to see which blade bears on which spring.",
      "Snikra names it by the strict school and by today\u2019s trade, and says what each name asks and what speaks against it. Where two names are near, it says which one look tells them apart. Length decides some names: measure it closed, from end to end.",
    ],
    picture: { src: benchPattern, says: "The first station: outline, bolsters, springs and length" },
    go: [["/words", "Words of the trade, drawn on a knife"]],
  },
  {
    id: "mark",
    title: "The mark, letter by letter",
    text: [
      "Write what you see, not what you think it says. A point stands for a letter that is lost, a question mark after a letter that is doubtful, a star for a stretch of unknown length. What you leave open is worth more than a guess.",
      "Light from the side brings up worn letters; a photograph can be turned, mirrored and given more contrast beside the entry. Look at every tang and both faces of it: a word of a country or a patent often stands on the back.",
      "The marks on file that it may be are drawn as they should look, the letters they supply in blue and those you read otherwise in red. It also says how likely it is that the mark is not on file at all.",
    ],
    picture: { src: benchMarks, says: "A worn mark held against every mark on file" },
  },
  {
    id: "rest",
    title: "Covers, frame and tools",
    text: [
      "Materials and ways of building have their years and their countries: pins, liners, bolsters, springs, shields, openers. Each answer says how to know it and what it is mistaken for.",
      "Say how sure you are. Not looked at, looked at in vain and surely seen are three different things, and each does something else to the verdict. What to look at next is told under the verdict, by how much it is expected to tell for its trouble.",
    ],
    steps: [
      "A goes to the answers of the question in hand; 1 to 9 answer, 0 is \u201ccannot tell\u201d.",
      "G goes to what is worth looking at next.",
      "D makes the drawing larger or smaller.",
    ],
  },
  {
    id: "verdict",
    title: "What the verdict says",
    text: [
      "Who, when, and whether it is all of a piece are one question. A plastic spacer in a knife that looks early may mean a late knife, a repair or a look that deceived you, and the verdict weighs all three.",
      "Years are told as a span that holds the knife nine times in ten. It is wide where you saw little; that is not a failing. Every clue says why it speaks and what would change were it not there: leave it out on the sheet to see.",
      "Where the knife contradicts itself the sheet says so, with what would explain it and how likely that is. It is for you to decide; write what you hold yourself in the journal, and it stands beside what Snikra holds.",
    ],
    picture: { src: verdictSheet, says: "The verdict sheet, with each clue and its reason" },
  },
  {
    id: "trust",
    title: "How far to trust it",
    text: [
      "Made-up knives, worn and repaired as knives are, are dated as yours are, and it is counted how often the truth lies inside. A model that knows its limits is right as often as it says. It cannot tell you that the references are right: that is for you and your books.",
      "Every number that is a matter of judgement stands on a page with its reason. Where you know better, say so to whoever keeps your references.",
      "Your own eye can be held to the same measure: practise on knives of which the truth is known, and see whether you are right as often as you think.",
    ],
    picture: {
      src: calibration,
      says: "How often spans hold the year, and how often a maker named with a chance is the one",
    },
    go: [
      ["/calibration", "How far to trust the verdicts"],
      ["/judgement", "The numbers of judgement"],
      ["/practice", "Practice"],
    ],
  },
  {
    id: "eye",
    title: "Training the eye",
    text: [
      "Ten knives a day, the same for everyone at this machine, or one of your own before you unveil it. Looks are counted: learn where to look first.",
      "Say how sure you are, and mean it. The scores are made so that nobody gains by saying anything but what they believe; the model is asked about the same looks. What you get wrong comes back as drills. Described knives can be graded by a school too, with grades that were agreed on before.",
    ],
    picture: { src: practice, says: "What came of a guess, beside the model\u2019s" },
    go: [["/practice", "Practice"]],
  },
  {
    id: "condition",
    title: "Condition and care",
    text: [
      "Grade in the order of the hand: look, open, listen, feel, close, box. Several schools of grading stand side by side with their reasons, for two good collectors will not always agree; choose the one that heads the page.",
      "What you did not look at leaves the grade a range. Blades worn short are measured, not guessed, where you give lengths and heights.",
      "Care says only what can be undone. Old celluloid gives off a vapour that rusts what lies beside it: it lies apart, aired and cool, and is looked at every year. Nothing is cleaned for show; cleaning lowers value.",
    ],
    picture: { src: benchCondition, says: "Two schools of grading, and each fault where it is" },
    go: [
      ["/care", "What must be looked at again"],
      ["/carried", "What is in the pocket"],
    ],
  },
  {
    id: "value",
    title: "Value, sales and the ledger",
    text: [
      "A value is a range out of sales of knives like yours, each with its weight and its steps to this one. Enter what you see sold, unlike knives too: the sales book serves all knives, and a range narrows as it grows.",
      "The ledger keeps what knives cost and brought, in lots shared out to the smallest coin. An entry is never changed without a trace: a correction shows what it was.",
      "Values are opinions. For insurance, tax and estates ask a licensed appraiser.",
    ],
    picture: { src: benchValue, says: "A value with the sales it rests on" },
    go: [
      ["/sales", "The sales book"],
      ["/ledger", "The ledger"],
      ["/schedules", "Schedules for an insurer or an estate"],
    ],
  },
  {
    id: "books",
    title: "Money in and out",
    text: [
      "Ten knives for one price, postage and fees shared out, nine sold and the tenth kept: what did it cost? The ledger knows, in your money at the rate of each day, by knife, by lot and by year, and a table for the year goes out for whoever does your taxes. Ask someone licensed.",
    ],
    picture: { src: ledger, says: "A lot: what came, what went, what the kept one cost" },
    go: [["/ledger", "The ledger"]],
  },
  {
    id: "story",
    title: "Who had it",
    text: [
      "Write down who told you and when, word for word, before you weigh it. Dates may be as people say them: about 1936, the thirties, before the war.",
      "Each link of the story is held against the knife: what cannot be true of this very knife is told, with what would reconcile the two. Papers and photographs stay with it as they came. The sheet prints with every source and how sure each link is.",
    ],
    picture: { src: provenance, says: "A story as bars on the knife\u2019s own years" },
  },
  {
    id: "collection",
    title: "The collection as a whole",
    text: [
      "The tray finds by plain words, years, lengths, prices and by what knives have in common. What belongs together is shown as sets with their gaps; what you look for goes on the wanted list, with the look that tells it from what it is mixed up with.",
      "A catalogue of any choice is printed with drawings at one scale, photographs where there are any, with or without values.",
    ],
    picture: { src: collection, says: "The collection in pictures" },
    go: [
      ["/collection", "In pictures"],
      ["/wanted", "Wanted"],
      ["/catalogue", "A printed catalogue"],
    ],
  },
  {
    id: "references",
    title: "Keeping references",
    text: [
      "The makers that ship are made up, and are off until you ask for them. What Snikra says of makers is as good as the references you bring: marks with their years, and how each is known.",
      "A mark that is not on file goes there from the bench in one step, filled in from the knife, with what it would do to the verdict shown beforehand. Whole tables of marks go in at once. Strikes on several knives, each worn in its own way, are put together into one. A few knives of known years teach how a maker\u2019s codes run, and five numbers how its numbers are built: you see every way that fits, how sure each is, and which knife would settle it.",
      "Say where you know it from. A list of somebody unknown is heard less than a dated catalogue, and what disagrees stands side by side. Your own references are a file of your own that you can save, share and keep under versions.",
    ],
    picture: { src: makers, says: "A maker on the time line, with marks, owners and models" },
    go: [["/makers", "To the makers"]],
  },
  {
    id: "market",
    title: "At the market",
    text: [
      "Six looks in the order of the hand say whether to put it down, look closer or what to pay at most, with the reason. It can be saved as one file that opens on a phone without a network; what you note there comes back as knives. On paper there is a card of two sides with the marks and years of the makers you look for.",
      "Open a strange knife slowly, with the seller\u2019s leave, fingers clear of its path. What may be carried and bought differs by country: local law decides, and this page does not.",
    ],
    picture: { src: quickLook, says: "A quick look at a stall" },
    go: [["/quick", "A quick look"]],
  },
  {
    id: "inherited",
    title: "If you inherited knives",
    text: [
      "Clean nothing, sharpen nothing, sell nothing yet. Keep boxes, papers and the drawer\u2019s order: they tell as much as the knives. Write down today what you remember of who had them.",
      "Lay out ten, with the outline, the mark and a photograph each. That shows which of them are worth an evening, and which a licensed appraiser should see before anything is shared out or insured. Old celluloid apart from the rest, at once.",
      "Ivory, tortoiseshell and some woods may not be sold or sent without papers: look up the law where you are before you offer them.",
    ],
    go: [
      ["/tray", "Lay out the first"],
      ["/schedules", "A schedule for an estate"],
    ],
  },
  {
    id: "museum",
    title: "For a museum",
    text: [
      "Numbers, places and tags are yours to choose; the journal keeps every sitting with what was found and changed, by date. Every verdict names its sources and says what is open, so that a later hand can go on from it.",
      "Knives go out as open files: JSON with its schema, tables, and LIDO records without prices and owners. The whole collection goes into one parcel with its photographs byte for byte and a checksum of each, and comes back from it.",
      "Copies are made each day and before each new version, and are opened to see that they are whole.",
    ],
    picture: { src: catalogue, says: "A printed catalogue, at one scale" },
    go: [["/keeping", "Safe keeping"]],
  },
];
