import type { Preferences } from './preferences.ts';
import type { StudioSeen } from './records/records.ts';

/** What the server gives along with a page, so that it stands there at once. */
export interface Given {
  readonly preferences: Preferences;
  /** `null` where the studio's records couldn't be reached. */
  readonly studio: StudioSeen | null;
  /** Who can be dressing, whichever page it is. */
  readonly people: GivenAnswers;
  /** What else the page would ask for first. */
  readonly answers: GivenAnswers;
}

/** Answers, each by the key it is kept under. */
export type Answers = readonly (readonly [key: readonly unknown[], answer: unknown])[];

/** The same as one text of JSON: a page carries that as it is, where it would wrap every value by itself. */
export type GivenAnswers = string;

export const noAnswers: GivenAnswers = '[]';
