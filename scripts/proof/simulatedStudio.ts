/**
 * A studio with hidden truths, to prove a fit book on: it shares no code with the model that learns, not even its formulas.
 * Take-up here is its own: so much a move, wider blades and thicker cloth more, drawn up loosely or tightly.
 */
export interface Truths {
  readonly clients: readonly { readonly dropOffMm: number; readonly taped: boolean }[];
  readonly ties: readonly { readonly bladeMm: number; readonly thickMm: number; readonly eats: number }[];
  readonly knots: readonly { readonly moves: number; readonly misjudged: number }[];
  readonly people: readonly { readonly heavy: number; readonly readsOffMm: number; readonly noiseMm: number }[];
}

/** One tying to come: who ties what on whom. */
export interface Visit {
  readonly client: number;
  readonly tie: number;
  readonly knot: number;
  readonly person: number;
}

/** Evenly spread numbers from a seed, by a linear congruence. */
function evenly(seed: number): () => number {
  let state = BigInt(seed) * 2862933555777941757n + 3037000493n;
  return () => {
    state = (state * 6364136223846793005n + 1442695040888963407n) & ((1n << 64n) - 1n);
    return Number(state >> 11n) / 2 ** 53;
  };
}

export class SimulatedStudio {
  readonly truths: Truths;
  readonly #even: () => number;

  constructor(seed: number, sizes: { readonly clients: number; readonly ties: number; readonly knots: number; readonly people: number }) {
    this.#even = evenly(seed);
    const many = <T>(count: number, one: () => T) => Array.from({ length: count }, one);
    this.truths = {
      clients: many(sizes.clients, () => {
        const taped = this.#even() < 0.6;
        return { taped, dropOffMm: taped ? 6 * this.#bell() : 22 * this.#bell() };
      }),
      ties: many(sizes.ties, () => ({ bladeMm: 55 + 40 * this.#even(), thickMm: 2 + 2.4 * this.#even(), eats: 0.07 * this.#bell() })),
      // Some words are misjudged by 9% and more, to either side, whatever the tie.
      knots: many(sizes.knots, () => ({
        moves: 3 + Math.floor(6 * this.#even()),
        misjudged: (this.#even() < 0.5 ? -1 : 1) * (0.03 + 0.11 * this.#even()),
      })),
      people: many(sizes.people, () => ({
        heavy: 0.06 * this.#bell(),
        readsOffMm: 11 * this.#bell(),
        noiseMm: 6 + 7 * this.#even(),
      })),
    };
  }

  /** A sum of twelve evenly spread numbers: nearly normal, never further out than six. */
  #bell(): number {
    let sum = -6;
    for (let i = 0; i < 12; i++) sum += this.#even();
    return sum;
  }

  /** Somebody comes in: a few clients and ties far more often than the others. */
  visit(): Visit {
    const often = (count: number) => Math.floor(count * this.#even() ** 1.7);
    const { clients, ties, knots, people } = this.truths;
    return { client: often(clients.length), tie: often(ties.length), knot: often(knots.length), person: often(people.length) };
  }

  /** What a formula says that knows the measures, but nothing of the truths. */
  formulaTakeUpMm({ tie, knot }: Pick<Visit, 'tie' | 'knot'>): number {
    const { bladeMm, thickMm } = this.truths.ties[tie] as Truths['ties'][number];
    const { moves } = this.truths.knots[knot] as Truths['knots'][number];
    return moves * (12 + 0.22 * bladeMm + 4 * thickMm);
  }

  trueTakeUpMm(visit: Visit): number {
    const { eats } = this.truths.ties[visit.tie] as Truths['ties'][number];
    const { misjudged } = this.truths.knots[visit.knot] as Truths['knots'][number];
    const { heavy } = this.truths.people[visit.person] as Truths['people'][number];
    return this.formulaTakeUpMm(visit) * (1 + eats) * (1 + misjudged) * (1 + heavy);
  }

  /** How much lower than the formula has it the tip would end, one tying’s own noise apart. */
  trueErrorMm(visit: Visit): number {
    const { dropOffMm } = this.truths.clients[visit.client] as Truths['clients'][number];
    const { readsOffMm } = this.truths.people[visit.person] as Truths['people'][number];
    return dropOffMm + readsOffMm + this.formulaTakeUpMm(visit) - this.trueTakeUpMm(visit);
  }

  /** How much lower than reckoned it does end this time; what is written down of it is sometimes nonsense. */
  tied(visit: Visit): { readonly errorMm: number; readonly writtenMm: number } {
    const { noiseMm } = this.truths.people[visit.person] as Truths['people'][number];
    const errorMm = this.trueErrorMm(visit) + noiseMm * this.#bell();
    const isBlunder = this.#even() < 0.015;
    return { errorMm, writtenMm: isBlunder ? errorMm + (this.#even() < 0.5 ? -1 : 1) * (150 + 400 * this.#even()) : errorMm };
  }

  /** The same knot tied once on a stand: its take-up alone, without a client and without the way a start is read. */
  onStand(visit: Visit): number {
    return this.formulaTakeUpMm(visit) - this.trueTakeUpMm(visit) + 5 * this.#bell();
  }
}
