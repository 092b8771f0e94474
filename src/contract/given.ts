import type { Preferences } from './preferences.ts';
import type { StudioSeen } from './records/records.ts';

/** What the server gives along with a page, so that it stands there at once. */
export interface Given {
  readonly preferences: Preferences;
  /** `null` where the studio's records couldn't be reached. */
  readonly studio: StudioSeen | null;
  /** Answers the page would ask for first, each by the key it is kept under. */
  readonly answers: readonly (readonly [key: readonly unknown[], answer: unknown])[];
}
