import { tieFrom } from '../../tie/turned.ts';
import { type SeenCloth, seenOf } from '../mesh/compact.ts';
import { coveredTo, hiddenTo, type TyingRequest, usualSetting } from '../simulate.ts';
import { tieInCloth, type Watching } from '../tieInCloth.ts';
import { wholeTie } from './material.ts';
import { napeOf } from './nape.ts';
import { drawnAt } from './sequence.ts';

/**
 * A knot being drawn up in cloth, from loose to tied, with all of its tie: the knot of the last frame is the very one that
 * {@link tieInCloth} ties for the same question. Empty where that refuses or is stopped.
 */
export function drawingUp(request: TyingRequest, watching: Watching = {}): SeenCloth[] {
  const tie = tieFrom(request.knot.active, request.tie);
  const whole = (cloth: SeenCloth) => wholeTie(cloth, tie, napeOf(request));
  const { finish, loose } = request.knot;
  // What was hidden already does not come out again, and turns that are held open are not shown before they are laid down.
  const from = finish === 'collar' ? hiddenTo : loose ? coveredTo : 0;
  const shown = drawnAt.filter((share) => share >= from);
  const attempts: { readonly share: number; readonly cloth: SeenCloth }[][] = [];
  const tied = tieInCloth(request, usualSetting(request), {
    ...watching,
    onState: (mesh, share, attempt) => {
      attempts[attempt] ??= [];
      const frames = attempts[attempt];
      const next = shown[frames.length];
      if (next !== undefined && share >= next) frames.push({ share, cloth: whole(seenOf(mesh)) });
    },
  });
  if (tied.kind !== 'tied') return [];
  // Only states of the attempt that was taken lead up to it, and of it only those before what is shown at last.
  const before = (attempts[tied.attempt] ?? []).filter(({ share }) => share < tied.drawnUp);
  return [...before.map(({ cloth }) => cloth), whole(seenOf(tied.mesh))];
}
