import type { Knot } from '../../knot/knot.ts';
import { hiddenSide, type Side } from '../mesh/loosePath.ts';
import { asideOf, type ClothMesh, type Strand } from '../mesh/mesh.ts';
import { neckPin, overArmMm, shirtZMm } from './body.ts';

type Place = readonly [x: number, y: number, z: number];

/** One end that is held: its rows go over from where they were laid to where they belong. */
interface End {
  /** Where its rows were laid, x, y, z, mm. */
  readonly laid: Float64Array;
  /** Across the cloth as it was laid, of length 1. */
  readonly across: Place;
  /** Where the middle of each row belongs. */
  readonly to: readonly Place[];
  /** Across the cloth as it belongs. */
  readonly toAcross: Place;
}

export const pinnedRows = 2;
const hangEndYMm = -150;
const bladeOffShirtMm = 12;
const tailOffShirtMm = 4;

/** The four ends of a tie that is being tied: the arms go to the neck's sides and stand upright along it, the tails hang. */
export class Pins {
  private readonly ends: readonly [End, End, End, End];

  constructor(mesh: ClothMesh, knot: Knot, side: Side = 1) {
    const { active, standing } = mesh;
    this.ends = [
      endOf(mesh, active.first, neckPin(side), true),
      knot.finish === 'collar'
        ? endOf(mesh, lastRows(active, mesh.columns), neckPin(side === hiddenSide(knot) ? 1 : -1, overArmMm), true)
        : endOf(mesh, lastRows(active, mesh.columns), [0, hangEndYMm, shirtZMm + bladeOffShirtMm], false),
      endOf(mesh, standing.first, neckPin(side === 1 ? -1 : 1), true),
      endOf(mesh, lastRows(standing, mesh.columns), [0, hangEndYMm, shirtZMm + tailOffShirtMm], false),
    ];
  }

  /** Puts the ends where they are held now; `eased` goes from 0, as laid, to 1, as they belong, and `endEased` for the end that ties. */
  hold(mesh: ClothMesh, eased: number, endEased = eased): void {
    const { active, standing, columns } = mesh;
    const [bladeArm, blade, tailArm, tail] = this.ends;
    holdEnd(mesh, active.first, bladeArm, active.width[0], eased);
    holdEnd(mesh, lastRows(active, columns), blade, active.width[active.rows - 1], endEased);
    holdEnd(mesh, standing.first, tailArm, standing.width[0], eased);
    holdEnd(mesh, lastRows(standing, columns), tail, standing.width[standing.rows - 1], eased);
  }
}

function lastRows({ first, rows }: Strand, columns: number): number {
  return first + (rows - pinnedRows) * columns;
}

/** An end whose rows belong about `to`: as they were laid, or, at the neck's side, along the neck and upright. */
function endOf({ position, columns }: ClothMesh, first: number, to: Place, atNeck: boolean): End {
  const count = pinnedRows * columns;
  const laid = position.slice(3 * first, 3 * (first + count));
  const mean = (axis: number) => {
    let sum = 0;
    for (let row = 0; row < pinnedRows; row++) sum += laid[3 * (row * columns + Math.floor(columns / 2)) + axis] ?? 0;
    return sum / pinnedRows;
  };
  const middle: Place = [mean(0), mean(1), mean(2)];
  const row = (at: number): Place => {
    const i = 3 * (at * columns + Math.floor(columns / 2));
    return [(laid[i] ?? 0) - middle[0], (laid[i + 1] ?? 0) - middle[1], (laid[i + 2] ?? 0) - middle[2]];
  };
  const edge = (axis: number) => (laid[3 * (columns - 1) + axis] ?? 0) - (laid[axis] ?? 0);
  const wide = Math.sqrt(edge(0) ** 2 + edge(1) ** 2 + edge(2) ** 2);
  const across: Place = [edge(0) / wide, edge(1) / wide, edge(2) / wide];
  const places = Array.from({ length: pinnedRows }, (_, at) => {
    const [x, y, z] = row(at);
    // At the neck's side a row that was laid further out lies further back.
    const off: Place = atNeck ? [0, 0, -Math.sign(to[0] * x) * Math.sqrt(x * x + y * y + z * z)] : [x, y, z];
    return [to[0] + off[0], to[1] + off[1], to[2] + off[2]] as const;
  });
  return { laid, across, to: places, toAcross: atNeck ? [0, Math.sign(across[1]), 0] : across };
}

function holdEnd({ position: p, before, columns }: ClothMesh, first: number, end: End, width: number, eased: number): void {
  const { laid, across, to, toAcross } = end;
  const ax = across[0] + eased * (toAcross[0] - across[0]);
  const ay = across[1] + eased * (toAcross[1] - across[1]);
  const az = across[2] + eased * (toAcross[2] - across[2]);
  const size = Math.sqrt(ax * ax + ay * ay + az * az);
  for (let row = 0; row < pinnedRows; row++) {
    // Across, the row is as wide as the tie is there.
    const [x, y, z] = to[row] ?? [0, 0, 0];
    const m = row * columns + Math.floor(columns / 2);
    for (let column = 0; column < columns; column++) {
      const aside = (asideOf(column, columns) * width) / size;
      const at = 3 * (first + row * columns + column);
      for (let axis = 0; axis < 3; axis++) {
        const turned = axis === 0 ? ax : axis === 1 ? ay : az;
        const belongs = axis === 0 ? x : axis === 1 ? y : z;
        const held = laid[3 * m + axis] + eased * (belongs - laid[3 * m + axis]) + aside * turned;
        p[at + axis] = held;
        before[at + axis] = held;
      }
    }
  }
}
