import { kept, packCloth, type SeenCloth, unpackCloth } from '../mesh/compact.ts';

/** Between two moves so many frames are settled, less one: what lies between those is mixed. */
export const framesAMove = 4;

/** How far the drawing-up has come where it is shown: from while the knot is loose until its dimple is laid; it ends tied. */
export const drawnAt = [0.32, 0.5, 0.75] as const;

/** Everything that is shown of a knot's tying. */
export interface TyingSequence {
  /** Before the first move, and from there on {@link framesAMove} a move; one that is not settled yet is missing. */
  readonly moving: readonly (SeenCloth | undefined)[];
  /** Tucked, or hidden under the collar; a panel that falls over the knot has no frame of its own. */
  readonly finished: SeenCloth | undefined;
  /** Being drawn up, as {@link drawingUp} gives it. */
  readonly drawn: readonly SeenCloth[];
}

const version = 1;

/** A whole sequence as bytes: how many frames are of each kind, and each with its length before it. */
export function packSequence({ moving, finished, drawn }: TyingSequence): Uint8Array {
  const all = [...moving, ...(finished ? [finished] : []), ...drawn].flatMap((frame) => (frame ? [packCloth(frame, kept.frame)] : []));
  const size = all.reduce((sum, { length }) => sum + 4 + length, 4);
  const bytes = new Uint8Array(size);
  const view = new DataView(bytes.buffer);
  bytes.set([version, moving.length, finished ? 1 : 0, drawn.length]);
  let at = 4;
  for (const frame of all) {
    view.setUint32(at, frame.length);
    bytes.set(frame, at + 4);
    at += 4 + frame.length;
  }
  return bytes;
}

/** The sequence that was packed; throws where the bytes are of something else. */
export function unpackSequence(bytes: Uint8Array): TyingSequence {
  const [kind, moves = 0, finishes = 0, drawings = 0] = bytes;
  if (kind !== version) throw new Error('These bytes are no tying.');
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let at = 4;
  const take = (count: number) =>
    Array.from({ length: count }, () => {
      const length = view.getUint32(at);
      const frame = unpackCloth(bytes.subarray(at + 4, at + 4 + length));
      at += 4 + length;
      return frame;
    });
  const moving = take(moves);
  return { moving, finished: take(finishes)[0], drawn: take(drawings) };
}
