import type { Overview } from '../core/fitbook/overview.ts';

/** What a studio’s tyings come to, with the names of all that they speak of. */
export interface ToldBook extends Overview {
  /** Titles of clients, ties and people, by id. */
  readonly names: Readonly<Record<string, string>>;
}
