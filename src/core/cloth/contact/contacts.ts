import type { ClothMesh } from '../mesh/mesh.ts';
import { compiled } from './compiled.ts';

/** What `kernel/index.ts` tells and does: its arrays stand at so many bytes of its memory. */
interface Kernel {
  readonly memory: WebAssembly.Memory;
  readonly lay: (columns: number, activeRows: number, standingRows: number) => void;
  readonly follow: () => void;
  readonly pass: (grip: number) => void;
  readonly touchingNow: () => number;
  readonly deepestMm: () => number;
  readonly positionAt: () => number;
  readonly beforeAt: () => number;
  readonly halfAt: () => number;
  readonly activeRestAt: () => number;
  readonly standingRestAt: () => number;
  readonly roomAt: () => number;
  readonly isPressedAt: () => number;
}

/** A point may come so much nearer to other cloth in one step: it can never pass through. */
const shareOfRoom = 0.4;

/**
 * Self-contact of the cloth as it is: points keep a layer's thickness from the triangles of other parts.
 * No point moves further in a step than a share of its room, so no cloth can pass through other cloth. All contacts of
 * a pass are solved at once, a point's weight split between those that it is in (after Tonge, Benevolenski and
 * Voroshilov, "Mass Splitting for Jitter-Free Parallel Rigid Body Simulation", 2012): none comes first, and what is laid as
 * in a mirror comes out as in a mirror, to the bit. Most of the time of tying is spent here, so it is compiled ahead, from `kernel`.
 */
export class Contacts {
  /** How many touch, after the last pass. */
  touching = 0;
  /** Deepest that two layers are pressed into each other, mm. */
  deepest = 0;
  /** 1 at every vertex that is pressed against other cloth, after the last pass. */
  readonly isPressed: Uint8Array;
  /** Distance of every point to the nearest cloth that it touches, before this step, mm. */
  private readonly room: Float64Array;
  private readonly kernel = newKernel();

  /** `grip` is what holds cloth on cloth, as a share of what presses it. */
  constructor(
    private readonly mesh: ClothMesh,
    private readonly grip: number,
  ) {
    this.kernel.lay(mesh.columns, mesh.active.rows, mesh.standing.rows);
    this.room = new Float64Array(mesh.count);
    this.isPressed = new Uint8Array(mesh.count);
  }

  /** Keeps track of which parts are near each other; to be called before each pass. */
  follow(): void {
    const { kernel, mesh } = this;
    this.give(kernel.positionAt(), mesh.position);
    this.give(kernel.halfAt(), mesh.half);
    this.give(kernel.activeRestAt(), mesh.active.rest);
    this.give(kernel.standingRestAt(), mesh.standing.rest);
    kernel.follow();
  }

  /** One pass over all pairs that may touch: points too near a triangle are pushed off it, and it off them. */
  pass(): void {
    const { kernel, mesh, room, isPressed } = this;
    this.give(kernel.positionAt(), mesh.position);
    this.give(kernel.beforeAt(), mesh.before);
    kernel.pass(this.grip);
    const { buffer } = kernel.memory;
    mesh.position.set(new Float64Array(buffer, kernel.positionAt(), mesh.position.length));
    room.set(new Float64Array(buffer, kernel.roomAt(), room.length));
    isPressed.set(new Uint8Array(buffer, kernel.isPressedAt(), isPressed.length));
    this.touching = kernel.touchingNow();
    this.deepest = kernel.deepestMm();
  }

  private give(at: number, values: Float64Array): void {
    new Float64Array(this.kernel.memory.buffer, at, values.length).set(values);
  }

  /** Takes back what a point moved in this step beyond its share of the room it had. */
  keepRoom(): void {
    const { room, mesh } = this;
    const { position: p, before: q, count } = mesh;
    for (let v = 0; v < count; v++) {
      const most = shareOfRoom * room[v];
      const i = 3 * v;
      const dx = p[i] - q[i];
      const dy = p[i + 1] - q[i + 1];
      const dz = p[i + 2] - q[i + 2];
      const square = dx * dx + dy * dy + dz * dz;
      if (square <= most * most) continue;
      const kept = most / Math.sqrt(square);
      p[i] = q[i] + kept * dx;
      p[i + 1] = q[i + 1] + kept * dy;
      p[i + 2] = q[i + 2] + kept * dz;
    }
  }
}

let module: WebAssembly.Module | undefined;

function newKernel(): Kernel {
  module ??= new WebAssembly.Module(Uint8Array.from(atob(compiled), (letter) => letter.charCodeAt(0)));
  return new WebAssembly.Instance(module, { env: { abort } }).exports as unknown as Kernel;
}

/** It gives up where its memory does not grow any further. */
function abort(): never {
  throw new RangeError('There is no memory left to tie this knot in cloth.');
}
