/** What of a tying is rehearsed, in the order in which it is learnt: who fights the length while learning the moves gives up. */
export const practiceParts = {
  moves: { label: 'moves only' },
  finish: { label: 'with the finish' },
  length: { label: 'to the right length' },
} as const;

export type PracticePart = keyof typeof practiceParts;
export const practicePartCodes = Object.keys(practiceParts) as PracticePart[];

/** Who learns. */
export const learnerKinds = { pupil: { label: 'pupil' }, client: { label: 'client' }, staff: { label: 'staff' } } as const;

/** What a learner wants to tie a knot in, seconds. */
export const practiceGoals = {
  '90': { label: '1½ minutes' },
  '60': { label: 'one minute' },
  '45': { label: '45 seconds' },
  '30': { label: '30 seconds' },
} as const;
export type PracticeGoal = keyof typeof practiceGoals;

/** One run through a tying, as it was timed. */
export interface Run {
  /** The knot's canonical moves. */
  readonly knot: string;
  readonly part: PracticePart;
  /** The day, as year-month-day. */
  readonly doneOn: string;
  /** Seconds for each step, the first one made first. */
  readonly seconds: readonly number[];
  /** Without a slip, and where the length counts within tolerance. */
  readonly clean: boolean;
  /** What went wrong, in a few words; empty where nothing did. */
  readonly wrong: string;
}
