import type { Knot } from '../../knot/knot.ts';
import type { ClothMesh, Strand } from '../mesh/mesh.ts';
import { neckPin, shirtZMm } from './body.ts';

type Place = readonly [x: number, y: number, z: number];

/** One end that is held: its rows go over from where they were laid to where they belong. */
interface End {
  /** Where its rows were laid, x, y, z, mm. */
  readonly laid: Float64Array;
  readonly middle: Place;
  /** Across the cloth as it was laid, of length 1. */
  readonly across: Place;
  readonly to: Place;
  /** Across the cloth as it belongs. */
  readonly toAcross: Place;
}

export const pinnedRows = 2;
const hangEndYMm = -150;
const bladeOffShirtMm = 12;
const tailOffShirtMm = 4;
/** A working end over the collar goes out of sight behind it. */
const behindCollar: Place = [30, 70, shirtZMm - 40];

/** The four ends of a tie that is being tied: the arms go to the neck's sides and stand upright along it, the tails hang. */
export class Pins {
  private readonly ends: readonly [End, End, End, End];

  constructor(mesh: ClothMesh, { finish }: Knot) {
    const { active, standing } = mesh;
    this.ends = [
      endOf(mesh, active.first, neckPin(1), true),
      endOf(mesh, lastRows(active, mesh.columns), finish === 'collar' ? behindCollar : [0, hangEndYMm, shirtZMm + bladeOffShirtMm], false),
      endOf(mesh, standing.first, neckPin(-1), true),
      endOf(mesh, lastRows(standing, mesh.columns), [0, hangEndYMm, shirtZMm + tailOffShirtMm], false),
    ];
  }

  /** Puts the ends where they are held now; `eased` goes from 0, as laid, to 1, as they belong. */
  hold(mesh: ClothMesh, eased: number): void {
    const { active, standing, columns } = mesh;
    const [bladeArm, blade, tailArm, tail] = this.ends;
    holdEnd(mesh, active.first, bladeArm, active.width[0], eased);
    holdEnd(mesh, lastRows(active, columns), blade, active.width[active.rows - 1], eased);
    holdEnd(mesh, standing.first, tailArm, standing.width[0], eased);
    holdEnd(mesh, lastRows(standing, columns), tail, standing.width[standing.rows - 1], eased);
  }
}

function lastRows({ first, rows }: Strand, columns: number): number {
  return first + (rows - pinnedRows) * columns;
}

function endOf({ position, columns }: ClothMesh, first: number, to: Place, isArm: boolean): End {
  const count = pinnedRows * columns;
  const laid = position.slice(3 * first, 3 * (first + count));
  const mean = (axis: number) => {
    let sum = 0;
    for (let v = 0; v < count; v++) sum += laid[3 * v + axis] ?? 0;
    return sum / count;
  };
  const edge = (axis: number) => (laid[3 * (columns - 1) + axis] ?? 0) - (laid[axis] ?? 0);
  const wide = Math.sqrt(edge(0) ** 2 + edge(1) ** 2 + edge(2) ** 2);
  const across: Place = [edge(0) / wide, edge(1) / wide, edge(2) / wide];
  return { laid, middle: [mean(0), mean(1), mean(2)], across, to, toAcross: isArm ? [0, Math.sign(across[1]), 0] : across };
}

function holdEnd({ position: p, before, columns }: ClothMesh, first: number, end: End, width: number, eased: number): void {
  const { laid, middle, across, to, toAcross } = end;
  const ax = across[0] + eased * (toAcross[0] - across[0]);
  const ay = across[1] + eased * (toAcross[1] - across[1]);
  const az = across[2] + eased * (toAcross[2] - across[2]);
  const size = Math.sqrt(ax * ax + ay * ay + az * az);
  for (let row = 0; row < pinnedRows; row++) {
    // The middle of a row keeps its place along the end; across, the row is as wide as the tie is there.
    const m = row * columns + Math.floor(columns / 2);
    for (let column = 0; column < columns; column++) {
      const aside = ((column / (columns - 1) - 0.5) * width) / size;
      const at = 3 * (first + row * columns + column);
      for (let axis = 0; axis < 3; axis++) {
        const turned = axis === 0 ? ax : axis === 1 ? ay : az;
        const held = laid[3 * m + axis] + eased * (to[axis] - middle[axis]) + aside * turned;
        p[at + axis] = held;
        before[at + axis] = held;
      }
    }
  }
}
