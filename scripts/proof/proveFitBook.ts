import { spreadsFrom } from '../../src/core/fitbook/spreads.ts';
import { type LearnRecord, learn } from '../../src/core/index.ts';
import { SimulatedStudio, type Visit } from './simulatedStudio.ts';

/** What first tries came to between two numbers of records. */
export interface Stretch {
  /** Records in the book before it, on the mean. */
  readonly records: number;
  readonly tyings: number;
  /** Root mean square miss of the first try: by the formulas alone, with the book, and by one who knows all truths; mm. */
  readonly formulaMm: number;
  readonly bookMm: number;
  readonly oracleMm: number;
  /** Shares of first tries within 12.5 mm of the aim. */
  readonly formulaWithin: number;
  readonly bookWithin: number;
  readonly oracleWithin: number;
  /** Share of tips within the 90% band that the book told. */
  readonly band: number;
}

export interface ProofSizes {
  readonly seed: number;
  readonly clients: number;
  readonly ties: number;
  readonly knots: number;
  readonly people: number;
  readonly tyings: number;
  /** The book is learnt anew after so many. */
  readonly every: number;
  /** Whether each tie was tied once on a stand before anything else. */
  readonly stands: boolean;
}

const toleranceMm = 12.5;
const ninetyPercent = 1.645;

/** Runs a simulated studio from its first day: each tying is predicted from the records before it, tied, and written down. */
export function proveFitBook({ tyings, every, stands, seed, ...sizes }: ProofSizes): Stretch[] {
  const studio = new SimulatedStudio(seed, sizes);
  const recordOf = (visit: Visit, tipErrorMm: number): LearnRecord => ({
    stylist: `person ${visit.person}`,
    client: `client ${visit.client}`,
    tie: `tie ${visit.tie}`,
    knot: `knot ${visit.knot}`,
    takeUpMm: studio.formulaTakeUpMm(visit),
    tipErrorMm,
    dropMeasured: studio.truths.clients[visit.client]?.taped ?? false,
  });
  const records: LearnRecord[] = stands
    ? studio.truths.ties.map((_, tie) => {
        const visit = { client: 0, tie, knot: tie % 2, person: 0 };
        return { ...recordOf(visit, studio.onStand(visit)), client: null };
      })
    : [];
  const begun = records.length;
  const stretches: Stretch[] = [];
  for (let done = 0; done < tyings; done += every) {
    const book = learn(records, spreadsFrom(records));
    const seen = Array.from({ length: Math.min(every, tyings - done) }, () => {
      const visit = studio.visit();
      const { meanMm, sdMm } = book.predict(recordOf(visit, 0));
      const { errorMm, writtenMm } = studio.tied(visit);
      records.push(recordOf(visit, writtenMm));
      return { formula: errorMm, book: errorMm - meanMm, oracle: errorMm - studio.trueErrorMm(visit), sdMm };
    });
    const rms = (of: readonly number[]) => Math.sqrt(of.reduce((sum, value) => sum + value ** 2, 0) / of.length);
    const within = (of: readonly number[]) => of.filter((miss) => Math.abs(miss) <= toleranceMm).length / of.length;
    const [formula, byBook, oracle] = (['formula', 'book', 'oracle'] as const).map((key) => seen.map((each) => each[key]));
    stretches.push({
      records: begun + done,
      tyings: seen.length,
      formulaMm: rms(formula ?? []),
      bookMm: rms(byBook ?? []),
      oracleMm: rms(oracle ?? []),
      formulaWithin: within(formula ?? []),
      bookWithin: within(byBook ?? []),
      oracleWithin: within(oracle ?? []),
      band: seen.filter(({ book: miss, sdMm }) => Math.abs(miss) <= ninetyPercent * sdMm).length / seen.length,
    });
  }
  return stretches;
}

/** The means of several stretches, each as often as it has tyings. */
export function meanOf(stretches: readonly Stretch[], key: Exclude<keyof Stretch, 'tyings' | 'records'>): number {
  const count = stretches.reduce((sum, { tyings }) => sum + tyings, 0);
  return stretches.reduce((sum, each) => sum + each[key] * each.tyings, 0) / count;
}
