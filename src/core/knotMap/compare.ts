import { countWord } from '../knot/difficulty.ts';
import type { MannerCode } from '../knot/manners.ts';
import { leanWord } from '../plan/criteria/symmetry.ts';
import { leanDegOf } from '../tying/shape.ts';
import { formatLength, type LengthUnit } from '../units/length.ts';
import type { MappedKnot } from './mappedKnots.ts';

const inManner: Readonly<Record<MannerCode, string>> = {
  classic: 'is tucked through its band',
  open: 'drops over as a panel',
  narrow: 'is tied with the tail',
};

const seenMm = 0.6;
const seenClothMm = 4;
const seenShare = 0.015;

type Compared = Pick<MappedKnot, 'plan' | 'difficulty'>;

/** How one knot differs from another with the same tie on the same collar, in words; empty where they are alike. */
export function differencesInWords(knot: Compared, from: Compared, units: LengthUnit): string[] {
  const { shape, takeUpMm, collar, properties, feasible, start } = knot.plan;
  const other = from.plan;
  const length = (mm: number) => formatLength(Math.abs(mm), units);
  const says: string[] = [];
  const wider = shape.topMm - other.shape.topMm;
  if (Math.abs(wider) >= seenMm) says.push(`${length(wider)} ${wider > 0 ? 'wider' : 'narrower'} at the top`);
  const higher = shape.heightMm - other.shape.heightMm;
  if (Math.abs(higher) >= seenMm) says.push(`${length(higher)} ${higher > 0 ? 'higher' : 'lower'}`);
  const [lean, otherLean] = [leanWord(leanDegOf(shape)), leanWord(leanDegOf(other.shape))];
  if (lean !== otherLean) says.push(lean === 'level' ? 'sits level' : `leans ${lean === 'slight' ? 'slightly' : 'clearly'}`);
  const cloth = takeUpMm - other.takeUpMm;
  if (Math.abs(cloth) >= seenClothMm) says.push(`takes up ${length(cloth)} ${cloth > 0 ? 'more' : 'less'}`);
  const fill = collar.fill - other.collar.fill;
  if (Math.abs(fill) >= seenShare)
    says.push(`covers ${Math.round(collar.fill * 100)}% of the collar edge instead of ${Math.round(other.collar.fill * 100)}%`);
  if (properties.manner !== other.properties.manner) says.push(inManner[properties.manner]);
  const moves = properties.moves - other.properties.moves;
  if (moves !== 0) says.push(`${countWord(Math.abs(moves))} ${Math.abs(moves) === 1 ? 'move' : 'moves'} ${moves > 0 ? 'more' : 'fewer'}`);
  if (properties.startSeam !== other.properties.startSeam)
    says.push(`starts with the seam ${properties.startSeam === 'in' ? 'to the shirt' : 'outward'}`);
  if (properties.selfReleasing !== other.properties.selfReleasing)
    says.push(properties.selfReleasing ? 'pulls open' : 'does not pull open');
  if (knot.difficulty !== from.difficulty) says.push(knot.difficulty === 'some practice' ? 'takes some practice' : `is ${knot.difficulty}`);
  if (feasible !== other.feasible) says.push(feasible ? 'works with this tie' : 'won’t work with this tie');
  else if (feasible && other.feasible && start.set.end === other.start.set.end) {
    const lower = start.set.dropMm - other.start.set.dropMm;
    if (Math.abs(lower) >= seenClothMm) says.push(`starts ${length(lower)} ${lower > 0 ? 'lower' : 'higher'}`);
  }
  return says;
}
