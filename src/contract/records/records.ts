import type { FrontCode, Taking } from '../../core/body/frontDrop.ts';
import type { Dealing } from '../../core/care/dealings.ts';
import type { TieCare } from '../../core/care/standing.ts';
import type { CollarStyleCode } from '../../core/collar/styles.ts';
import type { FindingCode, VerdictCode } from '../../core/fitbook/findings.ts';
import type { LearntHere } from '../../core/fitbook/here.ts';
import type { RecordedTying } from '../../core/fitbook/tying.ts';
import type { PlanRequest } from '../../core/index.ts';
import type { JacketWorn } from '../../core/jacket/jackets.ts';
import type { AimCode } from '../../core/plan/aims.ts';
import type { DressCodeKey } from '../../core/plan/dressCodes.ts';
import type { Caution, DimpleLiking, DressingHabits, Liking, TiedBy } from '../../core/plan/habits.ts';
import type { PrescribedPatternsCode } from '../../core/plan/prescribedPatterns.ts';
import type { HouseRules } from '../../core/plan/schools.ts';
import type { learnerKinds, PracticeGoal, Run } from '../../core/practice/parts.ts';
import type { StateCode } from '../../core/start/reading.ts';
import type { FabricCode } from '../../core/tie/fabrics.ts';
import type { Construction } from '../../core/tie/making.ts';
import type { PatternCode } from '../../core/tie/patterns.ts';
import type { Tie, TieEnds, WidthAt } from '../../core/tie/tie.ts';
import type { LengthUnit } from '../../core/units/length.ts';

/** What the studio keeps, as it crosses the wire. Lengths in mm, colours as `#rrggbb`, days as `YYYY-MM-DD`. */
export interface StudioRecord {
  readonly id: string;
  readonly name: string;
  readonly units: LengthUnit;
  /** Its days are days there: an IANA name, as `Europe/London`. */
  readonly timeZone: string;
}

/** The studio as a device sees it: with who is dressing there. */
export interface StudioSeen extends StudioRecord {
  readonly person: PersonRecord | null;
}

/** Every record can be archived and restored, and counts its changes, so that two people never overwrite each other. */
export interface Kept {
  readonly id: string;
  readonly version: number;
  readonly archived: boolean;
}

/** The measures of a client that are taken again and again, each with its day. */
export const takenCodes = ['frontDropMm', 'heightMm', 'neckMm', 'openLoopMm', 'crossedLoopMm'] as const;
export type TakenCode = (typeof takenCodes)[number];

/** A measure as it was taken on a day. */
export interface TakenMeasure {
  readonly measure: TakenCode;
  readonly mm: number;
  readonly how: Taking;
  readonly takenOn: string;
}

/** Whoever dresses others in the studio. */
export interface PersonRecord extends Kept, DressingHabits {
  readonly name: string;
  readonly note: string;
  /** The wearer's side on which the blade is hung. */
  readonly blade: 'right' | 'left';
  /** Where the ends are crossed, below the collar button. */
  readonly gapMm: number;
  /** How the crossed loop is longer than the closed one as these hands cross it; `null` where it was never measured. */
  readonly slackMm: number | null;
  /** Their own neck and height, for knots they tie on themselves and hand over. */
  readonly neckMm: number | null;
  readonly heightMm: number | null;
}

export interface ClientRecord extends Kept, Liking {
  readonly name: string;
  readonly nickname: string;
  readonly note: string;
  readonly email: string;
  readonly phone: string;
  readonly address: string;
  readonly front: FrontCode;
  readonly blade: 'right' | 'left';
  readonly crossingGapMm: number;
  readonly beltHeightMm: number;
  readonly tiedBy: TiedBy;
  readonly dimple: DimpleLiking;
  /** The usual knot, by its canonical moves. */
  readonly ownKnot: string | null;
  /** Which of the knots that share a name is meant by it; `null` to ask. */
  readonly meansWindsor: string | null;
  readonly meansHalfWindsor: string | null;
  readonly aim: AimCode;
  /** `null` for the studio's own. */
  readonly units: LengthUnit | null;
  readonly cautions: readonly Caution[];
  /** Every taking, newest first; the newest of each measure counts. */
  readonly measures: readonly TakenMeasure[];
}

/** `clientId` is null for what belongs to the studio. */
interface Owned extends Kept {
  readonly clientId: string | null;
  readonly label: string;
  readonly note: string;
}

/** What is worn at a fitting. A draft has the measures such a piece usually has: none of its own was taken yet. */
interface Worn extends Owned {
  readonly draft: boolean;
}

export interface ShirtRecord extends Worn, Omit<PlanRequest['shirt'], 'pointsHeld'> {
  readonly collarStyle: CollarStyleCode;
  readonly standMm: number | null;
  readonly pattern: PatternCode;
  /** `null` where it was never entered. */
  readonly colour: string | null;
  /** Of the pattern, where it has one. */
  readonly secondColour: string | null;
}

export interface JacketRecord extends Worn, NonNullable<PlanRequest['jacket']> {
  readonly colour: string | null;
}

export interface TieRecord extends Worn, Tie {
  /** Main colour first; none where they were never entered. */
  readonly colours: readonly string[];
  /** Hundredths, one a colour; `null` where they were not judged. */
  readonly shares: readonly number[] | null;
  readonly construction: Construction;
  readonly ends: TieEnds;
  readonly profile: readonly WidthAt[];
  readonly motifMm: number | null;
}

/** A tie with how it was used up to a day, and what holds it on that day. */
export interface TieAtHand extends TieRecord {
  readonly care: TieCare;
}

export interface SquareRecord extends Owned {
  readonly fabric: FabricCode;
  readonly colours: readonly string[];
  readonly shares: readonly number[] | null;
  /** The tie it was sold with. */
  readonly tieId: string | null;
}

/** What a service or a house prescribes, as it was known on a day; `null` is left to whoever dresses. */
export interface RegulationRecord extends Kept {
  readonly label: string;
  readonly note: string;
  /** `YYYY-MM-DD`. */
  readonly asOf: string;
  readonly knot: string | null;
  readonly dimple: DimpleLiking | null;
  readonly aim: AimCode | null;
  readonly collarRule: HouseRules['collarRule'] | null;
  readonly lapelRule: HouseRules['lapelRule'] | null;
  readonly patterns: PrescribedPatternsCode | null;
  readonly jacketWorn: JacketWorn | null;
}

export interface OutfitRecord extends Kept {
  readonly clientId: string;
  readonly label: string;
  readonly note: string;
  readonly shirtId: string;
  readonly jacketId: string | null;
  readonly squareId: string | null;
  /** The tie that goes with it, and the knot it is worn in, where they are settled. */
  readonly tieId: string | null;
  readonly knot: string | null;
  readonly occasion: string;
  readonly dressRule: DressCodeKey;
  /** Where the blade tip ends at this occasion; `null` as the client’s. */
  readonly aim: AimCode | null;
  /** What the occasion is prescribed by. */
  readonly regulationId: string | null;
  /** Collar button to belt top with these trousers, where it is not the client’s usual one. */
  readonly beltLineMm: number | null;
  readonly beltHeightMm: number | null;
  /** `#rrggbb`; `null` where it was never entered. */
  readonly trousersColour: string | null;
}

/** Everything one client can be dressed from: the client's own and the studio's, without what was archived. */
export interface Wardrobe {
  readonly studio: StudioSeen;
  readonly client: ClientRecord | null;
  readonly outfits: readonly OutfitRecord[];
  readonly shirts: readonly ShirtRecord[];
  readonly jackets: readonly JacketRecord[];
  readonly ties: readonly TieAtHand[];
  readonly squares: readonly SquareRecord[];
  readonly regulations: readonly RegulationRecord[];
  /** The client’s latest fitting that nobody has said the outcome of. */
  readonly unchecked: UncheckedFitting | null;
  /** What the fit book says of the client, of the hands that may tie, and of these ties. */
  readonly learnt: Omit<LearntHere, 'stylist'>;
}

/** A saved fitting whose outcome is not known. */
export interface UncheckedFitting {
  readonly id: string;
  readonly title: string;
  /** Its day as people write it, in the studio’s time zone. */
  readonly day: string;
}

/** What the studio itself calls a knot. */
export interface NamingRecord extends Kept {
  readonly label: string;
  readonly note: string;
  /** The knot's canonical moves; empty before they are entered. */
  readonly word: string;
}

/** Whoever learns to tie here. */
export interface LearnerRecord extends Kept {
  readonly label: string;
  readonly who: keyof typeof learnerKinds;
  /** Where a client learns. */
  readonly clientId: string | null;
  readonly class: string;
  readonly child: boolean;
  readonly goal: PracticeGoal | null;
  readonly note: string;
}

/** One timed run through a tying. */
export interface RehearsalRecord extends Kept, Run {
  readonly label: string;
  readonly learnerId: string;
  /** What was remarked on it. */
  readonly note: string;
}

/** A tying whose outcome is known. One of a fitting has that fitting’s id. */
export interface TyingRecord extends Kept, RecordedTying {
  readonly label: string;
  readonly doneOn: string;
  /** How the start was read. */
  readonly state: StateCode;
  readonly tailEndMm: number | null;
  readonly tries: number;
  readonly minutes: number | null;
  readonly findings: readonly FindingCode[];
  readonly clientVerdict: VerdictCode | null;
  readonly stylistVerdict: VerdictCode | null;
  /** Whether it is learnt from. */
  readonly counts: boolean;
  readonly note: string;
}

/** What happened to a tie besides being tied at a fitting: worn, lent, repaired, kept looped, laid aside. */
export interface CareRecord extends Kept, Dealing {
  readonly label: string;
  readonly tieId: string;
  readonly note: string;
}

export interface RecordOf {
  readonly people: PersonRecord;
  readonly regulations: RegulationRecord;
  readonly clients: ClientRecord;
  readonly shirts: ShirtRecord;
  readonly jackets: JacketRecord;
  readonly ties: TieRecord;
  readonly squares: SquareRecord;
  readonly outfits: OutfitRecord;
  readonly namings: NamingRecord;
  readonly learners: LearnerRecord;
  readonly rehearsals: RehearsalRecord;
  readonly tyings: TyingRecord;
  readonly cares: CareRecord;
}

export type Kind = keyof RecordOf;
/** What a person enters of a record; the rest is kept by Ropewalk itself. */
export type Entered<K extends Kind> = Omit<RecordOf[K], 'version' | 'archived'>;

/** A record as lists show it. */
export type Listed<K extends Kind> = K extends 'ties' ? TieAtHand : RecordOf[K];

/** One page of a list, and how many there are in all. */
export interface Page<T> {
  readonly rows: readonly T[];
  readonly total: number;
}

export const pageSize = 50;
