import {
  AmbientLight,
  Color,
  DirectionalLight,
  Group,
  type Material,
  Mesh,
  PCFSoftShadowMap,
  PerspectiveCamera,
  Scene,
  WebGLRenderer,
} from 'three';
import type { SeenCloth } from '../core/cloth/mesh/compact.ts';
import type { Collar } from '../core/collar/collar.ts';
import { frontEdges } from '../core/seen/front.ts';
import type { FabricLook } from '../core/tie/fabricLook.ts';
import { stripOf } from './cloth/strip.ts';
import { laidUnder } from './cloth/underLeaves.ts';
import { collarOf, leafDepth } from './wearer/collar.ts';
import { lapels, neckForm, shirtFront } from './wearer/torso.ts';

/** What is worn with the knot; nothing but the knot is shown where it is left out. */
export interface SceneDress {
  readonly collar: Collar;
  readonly buttonsMm: readonly number[];
  readonly shirtColour: string;
  /** `null` without a jacket. */
  readonly jacketColour: string | null;
  readonly lapelMm: number;
}

export interface SceneKnot {
  readonly cloth: SeenCloth;
  readonly paint: FabricLook;
  /** The side the working end started on: from the left the knot comes out as in a mirror. */
  readonly blade: 'right' | 'left';
  readonly dress: SceneDress | undefined;
}

const fieldDeg = 20;
const farMm = 560;
/** What the camera looks at, under the button, mm. */
const lookAtY = -32;
const turnAxisZ = -22;

/**
 * A knot tied in cloth on its collar, drawn by the graphics card, or by software where there is none.
 * Draws only when something changed.
 */
export class KnotScene {
  private readonly renderer: WebGLRenderer;
  private readonly scene = new Scene();
  private readonly camera = new PerspectiveCamera(fieldDeg, 1, 50, 2000);
  private readonly turned = new Group();
  private shown: Group | undefined;

  /** Throws where the browser draws no such pictures. */
  constructor(readonly canvas: HTMLCanvasElement) {
    // Multisampling leaves holes along the seams of the mesh where there is no graphics card: edges are smoothed by finer pixels instead.
    this.renderer = new WebGLRenderer({ canvas, antialias: false, alpha: true, preserveDrawingBuffer: true });
    this.renderer.shadowMap.enabled = true;
    this.renderer.shadowMap.type = PCFSoftShadowMap;
    this.renderer.setClearColor(new Color('#ffffff'), 0);
    this.turned.position.z = turnAxisZ;
    this.scene.add(this.turned, ...lights());
    this.camera.position.set(0, lookAtY + 20, farMm);
    this.camera.lookAt(0, lookAtY, turnAxisZ);
  }

  show({ cloth, paint, blade, dress }: SceneKnot): void {
    this.clear();
    const group = new Group();
    const side = blade === 'right' ? -1 : 1;
    const tie = new Group();
    // The sides that show beside the knot are the standing end's as well: one tie, one cloth.
    const raisedMm = belowEdgeMm - frontEdges(cloth).top;
    const { active, standing, columns } = dress ? laidUnder(cloth, leafDepth(dress.collar), raisedMm) : cloth;
    tie.add(stripOf(active, columns, paint, side), stripOf(standing, columns, paint, side));
    tie.position.y = raisedMm;
    group.add(tie);
    if (dress) {
      group.add(neckForm(), shirtFront(dress.shirtColour, dress.buttonsMm), collarOf(dress.collar, dress.shirtColour));
      if (dress.jacketColour !== null) group.add(lapels(dress.jacketColour, dress.lapelMm));
    }
    group.position.z = -turnAxisZ;
    this.shown = group;
    this.turned.add(group);
  }

  /** Turned about the upright axis: 0 from the front, 90 from the wearer's right. */
  turn(degrees: number): void {
    this.turned.rotation.y = (degrees * Math.PI) / 180;
  }

  draw(widthPx: number, heightPx: number, pixelRatio: number): void {
    this.renderer.setPixelRatio(pixelRatio);
    this.renderer.setSize(widthPx, heightPx, false);
    this.camera.aspect = widthPx / heightPx;
    this.camera.updateProjectionMatrix();
    this.renderer.render(this.scene, this.camera);
  }

  dispose(): void {
    this.clear();
    this.renderer.dispose();
  }

  private clear(): void {
    if (!this.shown) return;
    this.turned.remove(this.shown);
    this.shown.traverse((each) => {
      if (!(each instanceof Mesh)) return;
      each.geometry.dispose();
      const material: Material & { map?: { dispose(): void } | null } = each.material;
      material.map?.dispose();
      material.dispose();
    });
    this.shown = undefined;
  }
}

/** The collar button stands so far under the knot's upper edge. */
const belowEdgeMm = 3;

/** Soft light from above on the left, as at a window, and enough of it from everywhere. */
function lights() {
  const window = new DirectionalLight('#fff6e8', 2.5);
  window.position.set(-220, 340, 420);
  window.castShadow = true;
  window.shadow.mapSize.set(1024, 1024);
  window.shadow.radius = 5;
  window.shadow.bias = -0.0008;
  window.shadow.normalBias = 0.8;
  const { camera } = window.shadow;
  [camera.left, camera.right, camera.top, camera.bottom, camera.near, camera.far] = [-190, 190, 190, -240, 100, 1100];
  camera.updateProjectionMatrix();
  const fill = new DirectionalLight('#dfe8ff', 0.8);
  fill.position.set(300, 60, 300);
  return [window, fill, new AmbientLight('#ffffff', 1.1)];
}
