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

/** From where something is looked at, mm: the camera, and what it looks at; both in the wearer's own space, the collar button at 0, 0, 0. */
export interface Looking {
  readonly from: readonly [x: number, y: number, z: number];
  readonly at: readonly [x: number, y: number, z: number];
}

const fieldDeg = 20;

/** Lights, a camera, and one thing that can be turned about the upright axis through the neck; drawn by the graphics card, or by software where there is none. */
export class Viewer {
  private readonly renderer: WebGLRenderer;
  private readonly scene = new Scene();
  private readonly camera = new PerspectiveCamera(fieldDeg, 1, 50, 2400);
  private readonly turned = new Group();
  private readonly lamp = new DirectionalLight('#dfe8ff', 0.8);
  private shown: Group | undefined;

  /** Throws where the browser draws no such pictures. */
  constructor(
    readonly canvas: HTMLCanvasElement,
    private readonly turnAxisZ: number,
  ) {
    // Multisampling leaves holes along the seams of the mesh where there is no graphics card: edges are smoothed by finer pixels instead.
    this.renderer = new WebGLRenderer({ canvas, antialias: false, alpha: true, preserveDrawingBuffer: true });
    this.renderer.shadowMap.enabled = true;
    this.renderer.shadowMap.type = PCFSoftShadowMap;
    this.renderer.setClearColor(new Color('#ffffff'), 0);
    this.turned.position.z = turnAxisZ;
    this.scene.add(this.turned, windowLight(), this.lamp, new AmbientLight('#ffffff', 1.1));
  }

  look({ from, at }: Looking): void {
    this.camera.position.set(...from);
    this.camera.lookAt(...at);
    // Whoever looks from behind the light still sees what is in front of them.
    const [x, y, z] = from;
    this.lamp.position.set(x + lampAsideMm, y + lampUpMm, z);
  }

  /** Shows this alone; what was shown before is let go. */
  show(group: Group): void {
    this.clear();
    group.position.z = -this.turnAxisZ;
    this.shown = group;
    this.turned.add(group);
  }

  /** 0 from the front, 90 from the wearer's right. */
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
    // A browser keeps few of these at a time.
    this.renderer.forceContextLoss();
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

const lampAsideMm = 300;
const lampUpMm = 80;

/** Soft light from above on the left, as at a window; the rest comes from everywhere and from beside whoever looks. */
function windowLight(): DirectionalLight {
  const light = new DirectionalLight('#fff6e8', 2.5);
  light.position.set(-220, 340, 420);
  light.castShadow = true;
  light.shadow.mapSize.set(1024, 1024);
  light.shadow.radius = 5;
  light.shadow.bias = -0.0008;
  light.shadow.normalBias = 0.8;
  const { camera } = light.shadow;
  [camera.left, camera.right, camera.top, camera.bottom, camera.near, camera.far] = [-190, 190, 190, -240, 100, 1100];
  camera.updateProjectionMatrix();
  return light;
}
