import { Group } from 'three';
import type { SeenCloth } from '../core/cloth/mesh/compact.ts';
import type { Collar } from '../core/collar/collar.ts';
import type { Seat } from '../core/guide/seat.ts';
import type { FabricLook } from '../core/tie/fabricLook.ts';
import { Strip } from './cloth/strip.ts';
import { laidUnder } from './cloth/underLeaves.ts';
import { type Looking, Viewer } from './Viewer.ts';
import { collarOf, leafWorn, raisedCollarOf, type WornLeaf } from './wearer/collar.ts';
import { neckForm, shirtFront, shirtYoke } from './wearer/torso.ts';

/** Who is dressed, and in what. */
export interface TyingDress {
  readonly collar: Collar;
  readonly buttonsMm: readonly number[];
  readonly shirtColour: string;
  readonly paint: FabricLook;
  /** Laid flat from the nape to the tips, the end that ties first, mm; how wide the tie is at its widest, and how far its ends are lined. */
  readonly longMm: readonly [active: number, standing: number];
  readonly wideMm: number;
  readonly liningMm: readonly [active: number, standing: number];
  readonly blade: 'right' | 'left';
}

/** From where each seat sees the tying, the usual distance. */
const lookings: Readonly<Record<Seat, Looking>> = {
  mirror: { from: [0, -40, 900], at: [0, -62, -10] },
  facing: { from: [0, -40, 900], at: [0, -62, -10] },
  // Over the client's right shoulder and past the neck: what hands that reach around from behind look down at.
  behind: { from: [-90, 640, -285], at: [0, -46, 6] },
};
const turnAxisZ = -10;
/** Seen from behind the neck ends where it would hide the hands. */
const lowNeckMm = 52;

/** A tie being tied around a raised collar, to be laid again for every frame. Draws only when asked. */
export class TyingScene {
  readonly viewer: Viewer;
  private strips: readonly [Strip, Strip] | undefined;
  private readonly collars = { raised: new Group(), down: new Group() };
  private leaf: WornLeaf | undefined;
  private side: 1 | -1 = -1;

  /** Throws where the browser draws no such pictures. */
  constructor(canvas: HTMLCanvasElement) {
    this.viewer = new Viewer(canvas, turnAxisZ);
  }

  /** Dresses the wearer anew, seen from a seat. */
  wear(dress: TyingDress, seat: Seat): void {
    const { paint, longMm, wideMm, liningMm, blade, collar, shirtColour, buttonsMm } = dress;
    // A mirror shows everything the other way round, the cloth too; a blade that starts on the left only the way of the hands.
    this.side = (blade === 'right') === (seat === 'mirror') ? 1 : -1;
    const strip = (i: 0 | 1) => new Strip(paint, { wideMm, longMm: longMm[i], liningMm: liningMm[i], isTurned: blade === 'left' });
    const strips = [strip(0), strip(1)] as const;
    this.strips = strips;
    this.leaf = leafWorn(collar);
    this.collars.raised = raisedCollarOf(collar, shirtColour);
    this.collars.down = collarOf(collar, shirtColour);
    const group = new Group();
    group.add(
      neckForm(seat === 'behind' ? lowNeckMm : undefined),
      shirtFront(shirtColour, buttonsMm),
      shirtYoke(shirtColour),
      this.collars.raised,
      this.collars.down,
      strips[0].group,
      strips[1].group,
    );
    this.viewer.show(group);
    this.look(seat, 1);
  }

  /** `near` is 1 at the usual distance, larger nearer. */
  look(seat: Seat, near: number): void {
    const { from, at } = lookings[seat];
    const toward = (axis: 0 | 1 | 2) => at[axis] + (from[axis] - at[axis]) / near;
    this.viewer.look({ from: [toward(0), toward(1), toward(2)], at });
  }

  /** Lays the tie as a frame has it, under a collar that is up or turned down. */
  lay(frame: SeenCloth, collar: 'raised' | 'down'): void {
    const { strips, leaf } = this;
    if (!strips || !leaf) return;
    this.collars.raised.visible = collar === 'raised';
    this.collars.down.visible = collar === 'down';
    const { active, standing, columns } = collar === 'down' ? laidUnder(frame, leaf, 0) : frame;
    strips[0].lay(active, columns, this.side);
    strips[1].lay(standing, columns, this.side);
  }
}
