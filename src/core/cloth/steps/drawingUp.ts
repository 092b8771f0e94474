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
  let frames: SeenCloth[] = [];
  let of = 0;
  const tied = tieInCloth(request, usualSetting(request.knot), {
    ...watching,
    onState: (mesh, share, attempt) => {
      if (attempt !== of) [frames, of] = [[], attempt];
      const next = shown[frames.length];
      if (next !== undefined && share >= next) frames.push(whole(seenOf(mesh)));
    },
  });
  if (tied.kind !== 'tied') return [];
  // An attempt on another grid has rows of its own: only its own states lead up to it.
  const last = whole(seenOf(tied.mesh));
  return [...frames.filter(({ active }) => active.rows === last.active.rows), last];
}
