import createClient from "openapi-fetch";
import type { paths } from "./schema";
import type {
  CodeExamples,
  CodeSlip,
  FactSlip,
  LedgerEntry,
  MarkSlip,
  NumberExamples,
  NumbersSlip,
  OwnSchools,
  Problem,
  RoundKind,
  Sale,
  SavedKnife,
  Specimen,
  YearsMoved,
} from "./types";

// Writes carry a header of our own, which no page of another site can add.
const client = createClient<paths>({ baseUrl: "/", headers: { "X-Snikra": "1" } });

/** A request the server refused or that never reached it (status 0). */
export class Refused extends Error {
  constructor(
    readonly status: number,
    detail: string,
    readonly problems: Problem[] = [],
    readonly current?: SavedKnife,
  ) {
    super(detail);
  }
}

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

async function answered<T>(request: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await request;
  } catch (cause) {
    if (cause instanceof DOMException && cause.name === "AbortError") throw cause;
    throw new Refused(0, "Snikra does not answer. Is it still running?");
  }
  if (answer.response.ok) return answer.data as T;
  const told = (answer.error ?? {}) as { detail?: string; problems?: Problem[]; current?: SavedKnife };
  throw new Refused(
    answer.response.status,
    told.detail ?? "Snikra could not do that.",
    told.problems,
    told.current,
  );
}

type Body<P extends keyof paths, M extends keyof paths[P]> = paths[P][M] extends {
  requestBody: { content: { "application/json": infer B } };
}
  ? B
  : never;

/** A file as the whole body, byte for byte. */
const asItIs = (file: Blob) => ({
  body: file as unknown as string,
  bodySerializer: (body: unknown) => body as BodyInit,
  headers: { "Content-Type": "application/octet-stream" },
});

export const api = {
  book: () => answered(client.GET("/api/book")),
  judgement: () => answered(client.GET("/api/judgement")),
  glossary: () => answered(client.GET("/api/glossary")),
  tour: () => answered(client.GET("/api/tour")),
  makers: () => answered(client.GET("/api/makers")),
  bringPack: (file: File, keep: boolean) =>
    answered(
      client.POST("/api/packs", {
        params: { query: { name: file.name, keep } },
        ...asItIs(file),
      }),
    ),
  ownSteps: () => answered(client.GET("/api/own/steps")),
  slip: (specimen: Specimen) => answered(client.POST("/api/own/slip", { body: { specimen } })),
  /** What filing it would do; a slip still being filled in is sent as it is. */
  lookMark: (specimen: Specimen, slip: Partial<MarkSlip>, signal?: AbortSignal) =>
    answered(client.POST("/api/own/marks/look", { body: { specimen, slip: slip as MarkSlip }, signal })),
  fileMark: (specimen: Specimen, slip: Partial<MarkSlip>) =>
    answered(client.POST("/api/own/marks", { body: { specimen, slip: slip as MarkSlip } })),
  ownMark: (mark: string) => answered(client.GET("/api/own/marks/{mark}", { params: { path: { mark } } })),
  changeMark: (mark: string, slip: Partial<MarkSlip>) =>
    answered(client.PUT("/api/own/marks/{mark}", { params: { path: { mark } }, body: slip as MarkSlip })),
  removeMark: (mark: string) =>
    answered(client.DELETE("/api/own/marks/{mark}", { params: { path: { mark } } })),
  factsOffered: (specimen: Specimen) => answered(client.POST("/api/own/facts/slips", { body: { specimen } })),
  lookFact: (body: { specimen?: Specimen; fact: FactSlip }, signal?: AbortSignal) =>
    answered(client.POST("/api/own/facts/look", { body, signal })),
  fileFacts: (body: { facts: FactSlip[] }) => answered(client.POST("/api/own/facts", { body })),
  ownFact: (maker: string, key: string) =>
    answered(client.GET("/api/own/facts", { params: { query: { maker, key } } })),
  changeFact: (maker: string, key: string, slip: FactSlip) =>
    answered(client.PUT("/api/own/facts", { params: { query: { maker, key } }, body: slip })),
  /** What other years would make of the maker's time line. */
  lookMoved: (moved: YearsMoved, signal?: AbortSignal) =>
    answered(client.PUT("/api/own/facts/years", { params: { query: {} }, body: moved, signal })),
  moveYears: (moved: YearsMoved) =>
    answered(client.PUT("/api/own/facts/years", { params: { query: { keep: true } }, body: moved })),
  removeFact: (maker: string, key: string) =>
    answered(client.DELETE("/api/own/facts", { params: { query: { maker, key } } })),
  ownWitness: (maker: string) =>
    answered(client.GET("/api/own/witness/{maker}", { params: { path: { maker } } })),
  ownExamples: (maker: string) =>
    answered(client.GET("/api/own/examples/{maker}", { params: { path: { maker } } })),
  lookCodes: (body: CodeExamples) => answered(client.POST("/api/own/codes/look", { body })),
  fileCode: (body: CodeSlip) => answered(client.POST("/api/own/codes", { body })),
  removeCode: (code: string) =>
    answered(client.DELETE("/api/own/codes/{code}", { params: { path: { code } } })),
  lookNumbers: (body: NumberExamples) => answered(client.POST("/api/own/numbers/look", { body })),
  fileNumbers: (body: NumbersSlip) => answered(client.POST("/api/own/numbers", { body })),
  removeNumbers: (maker: string) =>
    answered(client.DELETE("/api/own/numbers/{maker}", { params: { path: { maker } } })),
  /** Marks of a table, put on file or only looked at. */
  marksTable: (
    file: File,
    forAll: { maker?: string; region?: string; source?: string; sourceKind: string },
    columns: string[],
    keep: boolean,
  ) =>
    answered(
      client.POST("/api/own/marks/table", {
        params: { query: { ...forAll, name: file.name, columns, keep } },
        ...asItIs(file),
      }),
    ),
  /** Models and fittings of a table, put on file or only looked at. */
  factsTable: (
    file: File,
    forAll: { maker: string; source?: string; sourceKind: string },
    columns: string[],
    keep: boolean,
  ) =>
    answered(
      client.POST("/api/own/facts/table", {
        params: { query: { ...forAll, name: file.name, columns, keep } },
        ...asItIs(file),
      }),
    ),
  undoOwn: () => answered(client.POST("/api/own/undo")),
  redoOwn: () => answered(client.POST("/api/own/redo")),
  switchPack: (id: string, on: boolean) =>
    answered(client.PUT("/api/packs/{id}", { params: { path: { id }, query: { on } } })),
  removePack: (id: string) => answered(client.DELETE("/api/packs/{id}", { params: { path: { id } } })),
  tryPack: (file: File) =>
    answered(client.POST("/api/trials/pack", { params: { query: { name: file.name } }, ...asItIs(file) })),
  tryMark: (slip: Partial<MarkSlip>, instead?: string) =>
    answered(client.POST("/api/trials/mark", { params: { query: { instead } }, body: slip as MarkSlip })),
  tryFact: (slip: FactSlip, instead?: string) =>
    answered(client.POST("/api/trials/fact", { params: { query: { instead } }, body: slip })),
  trySwitch: (pack: string, on: boolean) =>
    answered(client.POST("/api/trials/switch", { params: { query: { pack, on } } })),
  grading: () => answered(client.GET("/api/grading")),
  judge: (body: OwnSchools) => answered(client.PUT("/api/grading", { body })),
  tryGrading: (body: OwnSchools, against: string) =>
    answered(client.POST("/api/trials/grading", { params: { query: { against } }, body })),
  trial: (id: string) => answered(client.GET("/api/trials/{id}", { params: { path: { id } } })),
  runTrial: (id: string, running: boolean) =>
    answered(client.PUT("/api/trials/{id}", { params: { path: { id }, query: { running } } })),
  journal: (knife: string) =>
    answered(client.GET("/api/knives/{knife}/journal", { params: { path: { knife } } })),
  write: (knife: string, body: Body<"/api/knives/{knife}/journal", "post">) =>
    answered(client.POST("/api/knives/{knife}/journal", { params: { path: { knife } }, body })),
  question: (entry: string, open: boolean) =>
    answered(client.PUT("/api/journal/{entry}", { params: { path: { entry }, query: { open } } })),
  removeEntry: (entry: string) =>
    answered(client.DELETE("/api/journal/{entry}", { params: { path: { entry } } })),
  restoreEntry: (entry: string) =>
    answered(client.POST("/api/journal/{entry}/restore", { params: { path: { entry } } })),
  lookalikes: (id: string) =>
    answered(client.GET("/api/knives/{id}/lookalikes", { params: { path: { id } } })),
  resemblance: (id: string, withThese: string[]) =>
    answered(
      client.GET("/api/knives/{id}/resemblance", {
        params: { path: { id }, query: { with: withThese } },
      }),
    ),
  bearing: (maker: string) => answered(client.GET("/api/knives/bearing", { params: { query: { maker } } })),
  showing: (feature: string, answer: string) =>
    answered(client.GET("/api/knives/showing", { params: { query: { feature, answer } } })),
  beginCalibration: () => answered(client.POST("/api/calibration")),
  calibration: () => answered(client.GET("/api/calibration")),
  sets: () => answered(client.GET("/api/sets")),
  set: (maker: string, atLeast?: string) =>
    answered(
      client.GET("/api/sets/{maker}", { params: { path: { maker }, query: atLeast ? { atLeast } : {} } }),
    ),
  ofYear: (year: number) => answered(client.GET("/api/sets/of-year/{year}", { params: { path: { year } } })),
  /** The knives that answer to a search, taken together. */
  collection: (q: string, ticks: string[]) =>
    answered(client.GET("/api/collection", { params: { query: { q, in: ticks } } })),
  /** A mark that several knives bear, out of all of them. */
  oneMark: (of: string[]) => answered(client.GET("/api/knives/one-mark", { params: { query: { of } } })),
  /** What was found, leaf by leaf, for a catalogue on paper. */
  leaves: (q: string, ticks: string[]) =>
    answered(client.GET("/api/knives/leaves", { params: { query: { q, in: ticks } } })),
  /** What is looked at on a stall. */
  quick: () => answered(client.GET("/api/quick")),
  quickLook: (
    maker: string | undefined,
    asked: { amount: number; currency: string | undefined } | undefined,
    a: string[],
    signal: AbortSignal,
  ) =>
    answered(
      client.GET("/api/quick/look", {
        params: { query: { maker, asked: asked?.amount, money: asked?.currency, a } },
        signal,
      }),
    ),
  /** How one practises, who does, and what there is to choose from. */
  practice: () => answered(client.GET("/api/practice")),
  beginRound: (id: string, player: string, kind: RoundKind) =>
    answered(client.PUT("/api/practice/rounds/{id}", { params: { path: { id } }, body: { player, kind } })),
  takeLook: (id: string, look: string) =>
    answered(client.POST("/api/practice/rounds/{id}/looks", { params: { path: { id } }, body: { look } })),
  guess: (id: string, body: Body<"/api/practice/rounds/{id}/guess", "post">) =>
    answered(client.POST("/api/practice/rounds/{id}/guess", { params: { path: { id } }, body })),
  /** A described knife to grade. */
  toGrade: (player: string) =>
    answered(client.GET("/api/practice/graded", { params: { query: { player } } })),
  grade: (id: string, body: Body<"/api/practice/graded/{id}", "put">) =>
    answered(client.PUT("/api/practice/graded/{id}", { params: { path: { id } }, body })),
  eye: (player: string) => answered(client.GET("/api/practice/eye", { params: { query: { player } } })),
  forgetPlayer: (player: string) =>
    answered(client.DELETE("/api/practice/players", { params: { query: { player } } })),
  wanted: () => answered(client.GET("/api/wanted")),
  want: (id: string, body: Body<"/api/wanted/{id}", "put">) =>
    answered(client.PUT("/api/wanted/{id}", { params: { path: { id } }, body })),
  unwant: (id: string) => answered(client.DELETE("/api/wanted/{id}", { params: { path: { id } } })),
  tray: () => answered(client.GET("/api/knives")),
  search: (q: string, ticks: string[], signal?: AbortSignal) =>
    answered(client.GET("/api/knives/search", { params: { query: { q, in: ticks } }, signal })),
  /** Changes where knives lie and how they are sorted; answers with what was before. */
  file: (body: Body<"/api/knives/filing", "post">) => answered(client.POST("/api/knives/filing", { body })),
  setFiling: (body: Body<"/api/knives/filing", "put">) =>
    answered(client.PUT("/api/knives/filing", { body })),
  sendParcel: (key: string, at: number, piece: Blob, signal: AbortSignal) =>
    answered(client.POST("/api/parcel/piece", { params: { query: { key, at } }, ...asItIs(piece), signal })),
  lookAtParcel: (key: string, signal: AbortSignal) =>
    answered(client.GET("/api/parcel/{key}", { params: { path: { key } }, signal })),
  takeParcel: (key: string, theirs: string[]) =>
    answered(client.POST("/api/parcel/{key}/take", { params: { path: { key } }, body: { theirs } })),
  letGoOfParcel: (key: string) => answered(client.DELETE("/api/parcel/{key}", { params: { path: { key } } })),
  searches: () => answered(client.GET("/api/searches")),
  keepSearch: (id: string, body: Body<"/api/searches/{id}", "put">) =>
    answered(client.PUT("/api/searches/{id}", { params: { path: { id } }, body })),
  removeSearch: (id: string) => answered(client.DELETE("/api/searches/{id}", { params: { path: { id } } })),
  knife: (id: string) => answered(client.GET("/api/knives/{id}", { params: { path: { id } } })),
  /** A new knife under an id of the sender's own: sent twice it is kept once. */
  add: (id: string, body: Body<"/api/knives", "post">) =>
    answered(client.POST("/api/knives", { params: { query: { id } }, body })),
  change: (id: string, body: Body<"/api/knives/{id}", "put">, keepalive = false) =>
    answered(client.PUT("/api/knives/{id}", { params: { path: { id } }, body, keepalive })),
  takenOut: () => answered(client.GET("/api/knives/taken-out")),
  letGo: (id: string) => answered(client.DELETE("/api/knives/taken-out/{id}", { params: { path: { id } } })),
  keeping: () => answered(client.GET("/api/keeping")),
  check: () => answered(client.POST("/api/keeping/check")),
  backUp: () => answered(client.POST("/api/backups")),
  lookAtBackup: (name: string) => answered(client.GET("/api/backups/{name}", { params: { path: { name } } })),
  restoreBackup: (name: string) =>
    answered(client.POST("/api/backups/{name}/restore", { params: { path: { name } } })),
  chooseBackups: (folder: string) => answered(client.PUT("/api/backups/folder", { body: { folder } })),
  date: (written: string) => answered(client.GET("/api/read/date", { params: { query: { written } } })),
  sales: () => answered(client.GET("/api/sales")),
  /** A new sale under an id of the sender's own: sent twice it is kept once. */
  addSale: (id: string, body: Sale) =>
    answered(client.POST("/api/sales", { params: { query: { id } }, body })),
  salePictures: () => answered(client.GET("/api/sales/pictures")),
  addSalePicture: (sale: string, file: File) =>
    answered(
      client.POST("/api/sales/{id}/pictures", {
        params: { path: { id: sale }, query: { name: file.name } },
        ...asItIs(file),
      }),
    ),
  changeSale: (id: string, body: Sale) =>
    answered(client.PUT("/api/sales/{id}", { params: { path: { id } }, body })),
  removeSale: (id: string) => answered(client.DELETE("/api/sales/{id}", { params: { path: { id } } })),
  restoreSale: (id: string) => answered(client.POST("/api/sales/{id}/restore", { params: { path: { id } } })),
  salesTable: (file: File, currency: string, columns: string[], keep: boolean) =>
    answered(
      client.POST("/api/sales/table", {
        params: { query: { name: file.name, currency, columns, keep } },
        ...asItIs(file),
      }),
    ),
  saleRooms: () => answered(client.GET("/api/sales/rooms")),
  askSaleRoom: (room: string, currency: string, columns: string[], keep: boolean) =>
    answered(
      client.POST("/api/sales/rooms/{room}", {
        params: { path: { room }, query: { currency, columns, keep } },
      }),
    ),
  removeTable: (batch: string) =>
    answered(client.DELETE("/api/sales/table/{batch}", { params: { path: { batch } } })),
  restoreTable: (batch: string) =>
    answered(client.POST("/api/sales/table/{batch}/restore", { params: { path: { batch } } })),
  knivesTable: (
    file: File,
    { currency, columns, from, batch }: { currency: string; columns: string[]; from: number; batch?: string },
    signal?: AbortSignal,
  ) =>
    answered(
      client.POST("/api/knives/table", {
        params: { query: { name: file.name, currency, columns, from, batch } },
        ...asItIs(file),
        signal,
      }),
    ),
  removeKnivesTable: (batch: string) =>
    answered(client.DELETE("/api/knives/table/{batch}", { params: { path: { batch } } })),
  ledger: () => answered(client.GET("/api/ledger")),
  toldPurchases: () => answered(client.GET("/api/ledger/stories")),
  takeOverPurchases: () => answered(client.POST("/api/ledger/stories")),
  strikeLedgers: (body: string[]) => answered(client.POST("/api/ledger/strike", { body })),
  lookLedger: (id: string, body: LedgerEntry, signal?: AbortSignal) =>
    answered(client.POST("/api/ledger/look", { params: { query: { id } }, body, signal })),
  addLedger: (id: string, body: LedgerEntry) =>
    answered(client.POST("/api/ledger", { params: { query: { id } }, body })),
  correctLedger: (id: string, revision: number, body: LedgerEntry) =>
    answered(client.PUT("/api/ledger/{id}", { params: { path: { id }, query: { revision } }, body })),
  strikeLedger: (id: string) => answered(client.DELETE("/api/ledger/{id}", { params: { path: { id } } })),
  restoreLedger: (id: string) =>
    answered(client.POST("/api/ledger/{id}/restore", { params: { path: { id } } })),
  ledgerHistory: (id: string) =>
    answered(client.GET("/api/ledger/{id}/history", { params: { path: { id } } })),
  topPrice: (body: Body<"/api/top-price", "post">) => answered(client.POST("/api/top-price", { body })),
  labelPapers: () => answered(client.GET("/api/labels/papers")),
  schedules: () => answered(client.GET("/api/schedules")),
  makeSchedule: (query: { id: string; basis: string; title?: string; q?: string }, ticks: string[]) =>
    answered(client.POST("/api/schedules", { params: { query: { ...query, in: ticks } } })),
  removeSchedule: (id: string) =>
    answered(client.DELETE("/api/schedules/{id}", { params: { path: { id } } })),
  restoreSchedule: (id: string) =>
    answered(client.POST("/api/schedules/{id}/restore", { params: { path: { id } } })),
  story: (body: Body<"/api/story", "post">, signal?: AbortSignal) =>
    answered(client.POST("/api/story", { body, signal })),
  rate: (query: { from: string; to: string; date: string }) =>
    answered(client.GET("/api/rate", { params: { query } })),
  priceCountries: () => answered(client.GET("/api/price-then/countries")),
  priceThen: (query: { country: string; amount: string; year: number; unit?: string; worth?: number }) =>
    answered(client.GET("/api/price-then", { params: { query } })),
  trySales: () => answered(client.POST("/api/sales/check")),
  money: (written: string) => answered(client.GET("/api/read/money", { params: { query: { written } } })),
  mean: (reading: string[]) => answered(client.GET("/api/read/mean", { params: { query: { reading } } })),
  remove: (id: string) => answered(client.DELETE("/api/knives/{id}", { params: { path: { id } } })),
  restore: (id: string) => answered(client.POST("/api/knives/{id}/restore", { params: { path: { id } } })),
  reading: (kind: string, field: string, knife: string) =>
    answered(client.POST("/api/devices/readings", { params: { query: { kind, field, knife } } })),
  phone: () => answered(client.GET("/api/phone")),
  letPhoneIn: (knife: string, query: { role: string; blade?: number; face?: string; address?: string }) =>
    answered(client.POST("/api/knives/{knife}/phone", { params: { path: { knife }, query } })),
  endPhone: () => answered(client.DELETE("/api/phone")),
  photos: (knife: string) =>
    answered(client.GET("/api/knives/{knife}/photos", { params: { path: { knife } } })),
  readPhotoNames: (names: string[]) => answered(client.POST("/api/photos/names", { body: { names } })),
  addPhoto: (knife: string, file: File, role?: string) =>
    answered(
      client.POST("/api/knives/{knife}/photos", {
        params: { path: { knife }, query: { name: file.name, role } },
        ...asItIs(file),
      }),
    ),
  photoRole: (id: string, role: string) =>
    answered(client.PUT("/api/photos/{id}", { params: { path: { id }, query: { role } } })),
  removePhoto: (id: string) => answered(client.DELETE("/api/photos/{id}", { params: { path: { id } } })),
  restorePhoto: (id: string) =>
    answered(client.POST("/api/photos/{id}/restore", { params: { path: { id } } })),
  measurePhoto: (body: Body<"/api/photos/measure", "post">) =>
    answered(client.POST("/api/photos/measure", { body })),
  examine: (body: Body<"/api/examine", "post">, signal?: AbortSignal) =>
    answered(client.POST("/api/examine", { body, signal })),
};
