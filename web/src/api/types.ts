import type { components } from "./schema";

type Schemas = components["schemas"];

export type Book = Schemas["Book"];
export type ConditionPoint = Book["condition"]["points"][number];
export type Station = Schemas["StationChoice"];
export type Words = Schemas["Words"];
export type Term = Words["terms"][number];
export type Question = Schemas["Question"];
export type Answer = Schemas["Answer"];
export type Quantity = Schemas["MeasureBookQuantity"];
export type Specimen = Schemas["Specimen"];
export type Seen = Schemas["SeenString"];
export type SeenBlade = Schemas["SeenBlade"];
export type SeenCode = Schemas["SeenCode"];
export type SeenHallmark = Schemas["SeenHallmark"];
export type SeenNumber = Schemas["SeenNumber"];
export type SeenFace = Schemas["SeenFace"];
export type StoryEvent = Schemas["StoryEvent"];
export type ScheduleTold = Schemas["ScheduleTold"];
export type StoryTold = Schemas["StoryReading"];
export type ComparableSale = Schemas["ComparableSale"];
export type Verdict = Schemas["Verdict"];
export type Dating = Schemas["DatingVerdict"];
export type Span = Schemas["Span"];
export type Candidate = Schemas["VerdictCandidate"];
export type Progress = Schemas["VerdictProgress"];
export type Sketch = Schemas["Sketch"];
export type Frame = Schemas["Frame"];
export type BladeType = Schemas["BladeType"];
export type SavedKnife = Schemas["SavedKnife"];
export type TrayEntry = Schemas["TrayEntry"];
/** A knife in the tray that can be read. */
export type ReadableEntry = TrayEntry & Required<Pick<TrayEntry, "summary" | "sketch">>;
export type Backup = Schemas["Backup"];
export type BackupLook = Schemas["CopyLook"];
export type TakenOut = Schemas["TakenOut"];
export type Readings = Schemas["Readings"];
export type OneMaker = Schemas["OneMaker"];
export type MakersPack = Schemas["OnePack"];
export type BroughtPack = Schemas["Brought"];
export type Calibrated = Schemas["Calibrated"];
export type TrialProgress = Schemas["Progress"];
export type MovedKnife = TrialProgress["most"][number];
export type JournalEntry = Schemas["JournalEntry"];
export type Beside = Schemas["Beside"];
export type Lookalike = Beside["comparison"]["totals"][number];
export type PhoneLine = Schemas["PhoneInvited"];
export type Photo = Schemas["Photo"];
export type Advice = Verdict["care"][number];
export type CareDone = Schemas["CareDone"];
export type SchoolVerdict = Schemas["SchoolVerdict"];
export type Grade = Schemas["GradeVerdict"];
export type Sale = Schemas["Sale"];
export type KeptSale = Schemas["KeptSale"];
export type TableTold = Schemas["TableTold"];
export type LedgerEntry = Schemas["LedgerEntry"];
export type LedgerTold = Schemas["LedgerTold"];
export type LedgerLot = LedgerTold["lots"][number];
export type TourTold = Schemas["TourTold"];
export type ParcelTold = Schemas["ParcelTold"];
export type SearchTold = Schemas["SearchTold"];
export type FacetTold = SearchTold["facets"][number];
export type FacetValue = FacetTold["values"][number];
export type ListTold = Schemas["ListTold"];
export type Grading = Schemas["GradingTold"];
export type SchoolTold = Schemas["SchoolTold"];
export type School = Schemas["School"];
export type OwnSchools = Schemas["OwnSchools"];

/** What the server says is wrong with an entry. */
export interface Problem {
  field: string;
  given: string;
  accepted: string;
}
export type MarkSlip = Schemas["MarkSlip"];
export type MarkFiled = Schemas["MarkFiled"];
