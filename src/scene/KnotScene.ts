import { Group } from 'three';
import type { SeenCloth } from '../core/cloth/mesh/compact.ts';
import type { Collar } from '../core/collar/collar.ts';
import { frontEdges } from '../core/seen/front.ts';
import type { FabricLook } from '../core/tie/fabricLook.ts';
import { stripOf } from './cloth/strip.ts';
import { laidUnder } from './cloth/underLeaves.ts';
import { Viewer } from './Viewer.ts';
import { collarOf, leafWorn } from './wearer/collar.ts';
import { lapels, neckForm, type SceneJacket, shirtFront, shirtYoke } from './wearer/torso.ts';

/** What is worn with the knot; nothing but the knot is shown where it is left out. */
export interface SceneDress {
  readonly collar: Collar;
  readonly buttonsMm: readonly number[];
  readonly shirtColour: string;
  /** `null` without one. */
  readonly jacket: SceneJacket | null;
}

export interface SceneKnot {
  readonly cloth: SeenCloth;
  readonly paint: FabricLook;
  /** The side the working end started on: from the left the knot comes out as in a mirror. */
  readonly blade: 'right' | 'left';
  readonly dress: SceneDress | undefined;
}

const farMm = 560;
/** What the camera looks at, under the button, mm. */
const lookAtY = -32;
const turnAxisZ = -22;

/** A knot tied in cloth on its collar. Draws only when something changed. */
export class KnotScene {
  readonly viewer: Viewer;

  /** Throws where the browser draws no such pictures. */
  constructor(canvas: HTMLCanvasElement) {
    this.viewer = new Viewer(canvas, turnAxisZ);
    this.viewer.look({ from: [0, lookAtY + 20, farMm], at: [0, lookAtY, turnAxisZ] });
  }

  show({ cloth, paint, blade, dress }: SceneKnot): void {
    const group = new Group();
    const side = blade === 'right' ? -1 : 1;
    const tie = new Group();
    // The sides that show beside the knot are the standing end's as well: one tie, one cloth.
    const raisedMm = belowEdgeMm - frontEdges(cloth).top;
    const { active, standing, columns } = dress ? laidUnder(cloth, leafWorn(dress.collar), raisedMm) : cloth;
    tie.add(stripOf(active, columns, paint, side), stripOf(standing, columns, paint, side));
    tie.position.y = raisedMm;
    group.add(tie);
    if (dress) {
      const { shirtColour } = dress;
      group.add(
        neckForm(),
        shirtFront(shirtColour, dress.buttonsMm, dress.jacket !== null),
        shirtYoke(shirtColour),
        collarOf(dress.collar, shirtColour),
      );
      if (dress.jacket) group.add(lapels(dress.jacket));
    }
    this.viewer.show(group);
  }
}

/** The collar button stands so far under the knot's upper edge. */
const belowEdgeMm = 3;
