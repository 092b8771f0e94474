import { createContext, useContext } from 'react';
import type { Fitting } from '../../contract/fitting.ts';
import type { ClientRecord, StudioSeen, Wardrobe } from '../../contract/records/records.ts';
import type { LearntHere } from '../../core/fitbook/here.ts';
import type { Frame, PlanQuestion, PlanRequest } from '../../core/index.ts';
import type { Fault } from '../../core/measures/faults.ts';
import type { Attempt } from '../../core/start/attempts.ts';
import type { StateCode } from '../../core/start/reading.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import type { EntryStore } from '../ui/entryStore.ts';
import type { SavedHere } from './savedHere.ts';
import type { AtHand } from './values.ts';

export interface Untaught {
  readonly question: PlanQuestion;
  readonly request: PlanRequest;
}

/** What stays as it is while a measure is moved: a view that reads no more is not drawn anew with every millimetre. */
export interface Surroundings {
  readonly store: EntryStore<AtHand>;
  readonly studio: StudioSeen;
  readonly wardrobe: Wardrobe;
  /** `null` for a walk-in, and while the wardrobe of another client is still on its way. */
  readonly client: ClientRecord | null;
  readonly units: LengthUnit;
  readonly setUnits: (units: LengthUnit) => void;
  /** Whose left and right everything on the page speaks of. */
  readonly frame: Frame;
  readonly setView: (view: Frame['view']) => void;
  /** How the tie lies while a start is read; every start is told so. */
  readonly state: StateCode;
  readonly setState: (state: StateCode) => void;
}

/** Who stands at hand, in what, how it is read, and what is asked of the plan. */
export interface StandsAtHand extends Surroundings {
  readonly values: AtHand;
  /** The latest question that could be asked, and the same complete; the last good one while a measure is at fault. */
  readonly question: PlanQuestion | undefined;
  readonly request: PlanRequest | undefined;
  /** The same before the tyings of this fitting taught anything: what they teach is worked out from it. */
  readonly untaught: Untaught | undefined;
  /** What the fit book says of whoever stands at hand, and whether it is read at all. */
  readonly learnt: LearntHere;
  readonly bookRead: boolean;
  readonly setBookRead: (read: boolean) => void;
  /** The same, though it is not read just now, or what stands at hand was answered before it. */
  readonly book: LearntHere;
  /** The tyings of this fitting that the book has not learnt from yet. */
  readonly lessons: readonly Attempt[];
  /** Whether what stands in the fields is another question, which can't be asked yet. */
  readonly stale: boolean;
  /** What is wrong with it, by the names of the fields. */
  readonly faults: readonly Fault[];
  /** The saved fitting that was opened, and whether nothing was changed of it yet. */
  readonly opened: Fitting | undefined;
  readonly untouched: boolean;
  /** What stands at hand as it was saved: opened, or saved just now; nothing once anything of it was changed. */
  readonly asSaved: Fitting | undefined;
  readonly savedHere: SavedHere;
  /** Goes on with the same client and clothes as another fitting. */
  readonly startAnew: () => void;
  /** Says what stands at hand in the page's address now, not when the hand has rested. */
  readonly sayAddress: () => void;
  /** Whether the records went out of reach since they were read. */
  readonly outage: boolean;
}

export const AtHandContext = createContext<StandsAtHand | undefined>(undefined);
export const SurroundingsContext = createContext<Surroundings | undefined>(undefined);

/** For views that read nothing that a measure moves. */
export function useSurroundings(): Surroundings {
  const surroundings = useContext(SurroundingsContext);
  if (!surroundings) throw new Error('Nothing stands at hand here.');
  return surroundings;
}

/** What stands at hand: the one place all views of it read from. */
export function useAtHand(): StandsAtHand {
  const standing = useContext(AtHandContext);
  if (!standing) throw new Error('Nothing stands at hand here.');
  return standing;
}

/** The same for views that need a question that can be asked; {@link AtHand} shows them only then. */
export function useAsked(): StandsAtHand & Untaught & { readonly untaught: Untaught } {
  const standing = useAtHand();
  const { question, request, untaught } = standing;
  if (!question || !request || !untaught) throw new Error('Shown before a question could be asked.');
  return { ...standing, question, request, untaught };
}
