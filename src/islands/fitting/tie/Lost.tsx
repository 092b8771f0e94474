import { useState } from 'react';
import { beganAs, knotsSeenAs, type Points, statesSeen } from '../../../core/guide/lost.ts';
import { frameFrom, type Seat } from '../../../core/guide/seat.ts';
import { type Knot, stepsOf } from '../../../core/index.ts';
import { knotCode, knotTitle } from '../../../core/knot/code.ts';
import { regionInFrame } from '../../../core/knot/frame.ts';
import type { Region } from '../../../core/knot/knot.ts';
import type { Pass } from '../../../core/knot/passes.ts';
import { Button, Link } from '../../ui/Button.tsx';
import { Switch } from '../../ui/Switch.tsx';

interface LostProps {
  readonly knot: Knot;
  readonly seat: Seat;
  readonly blade: 'left' | 'right';
  /** So many moves were thought to be made. */
  readonly thoughtDone: number;
  readonly onFound: (done: number) => void;
}

const most = 4;
type PointsSeen = 'left' | 'right' | 'front' | 'behind';
const points = [
  { key: 'left', label: 'to my left' },
  { key: 'right', label: 'to my right' },
  { key: 'front', label: 'down the front' },
  { key: 'behind', label: 'behind, out of sight' },
] as const;
const shows = [
  { key: 'face', label: 'its face' },
  { key: 'seam', label: 'its seam side' },
] as const;

/** The place in a tying found again: from what can be seen, or from what was done. */
export function Lost({ knot, seat, blade, thoughtDone, onFound }: LostProps) {
  const frame = frameFrom(seat, blade);
  const [point, setPoint] = useState<PointsSeen>();
  const [show, setShow] = useState<'face' | 'seam'>();
  const [made, setMade] = useState<readonly Made[]>([]);
  const works = knot.active === 'blade' ? 'blade' : 'tail';
  const region = (side: 'left' | 'right'): Region => regionInFrame(side === 'left' ? 'L' : 'R', frame);
  const canonical: Points | undefined = point === 'left' || point === 'right' ? (region(point) as 'L' | 'R') : point;
  const seen = canonical && show ? { points: canonical, shows: show } : undefined;
  const states = seen ? statesSeen(knot, seen, thoughtDone) : [];
  const steps = stepsOf(knot, frame);
  const began =
    made.length > 0
      ? beganAs(
          made.map(({ to, side }) => ({ region: to === 'centre' ? 'C' : region(to), side })),
          knot,
          most,
        )
      : undefined;
  const others = (knots: readonly Knot[]) => (
    <ul className="flex flex-wrap gap-x-4">
      {knots.map((other) => (
        <li key={knotCode(other)}>
          <Link href={`/knots/${encodeURIComponent(knotCode(other))}`}>{knotTitle(other)}</Link>
        </li>
      ))}
    </ul>
  );
  return (
    <div className="min-h-0 space-y-3 overflow-y-auto py-2">
      <Switch showLabel label={`Where does the ${works} point?`} value={point ?? ('' as PointsSeen)} choices={points} onChange={setPoint} />
      <Switch showLabel label="Which side of it shows there?" value={show ?? ('' as 'face')} choices={shows} onChange={setShow} />
      <div aria-live="polite">
        {seen && states.length > 0 && (
          <>
            <p className="text-lg font-medium">{states.length === 1 ? 'You are here:' : 'You can be here:'}</p>
            <ul>
              {states.map(({ done, bands }) => (
                <li key={done}>
                  <Button look="text" onClick={() => onFound(done)}>
                    After move {done}, <span className="figures">{steps[done - 1]?.move}</span>: {bandsInWords(bands)} across the front
                  </Button>
                </li>
              ))}
            </ul>
          </>
        )}
        {seen && states.length === 0 && (
          <>
            <p className="font-medium text-outside">No step of this knot looks so. These have one that does:</p>
            {others(knotsSeenAs(seen, knot, most))}
          </>
        )}
      </div>
      <details>
        <summary className="flex min-h-9 cursor-pointer items-center text-set">Or tell what was done so far</summary>
        <div className="flex flex-wrap gap-2 py-1">
          {nextMoves(made, steps).map((each) => (
            <Button key={`${each.side} ${each.to}`} look="plain" onClick={() => setMade([...made, each])}>
              {inWords(each)}
            </Button>
          ))}
          {made.length > 0 && (
            <Button look="text" onClick={() => setMade(made.slice(0, -1))}>
              Take the last back
            </Button>
          )}
        </div>
        <ol className="list-decimal pl-7">
          {made.map((each, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: the moves are told by their order.
            <li key={i}>{inWords(each)}</li>
          ))}
        </ol>
        <div aria-live="polite">
          {began?.isOwn && (
            <p className="pt-1">
              That is this knot so far.{' '}
              <Button look="text" onClick={() => onFound(made.length)}>
                Go on from there
              </Button>
            </p>
          )}
          {began && !began.isOwn && (
            <p className="pt-1 text-outside">
              From move {began.agrees + 1} on it is no longer this knot. Undo{' '}
              {made.length - began.agrees === 1 ? 'one move' : `${made.length - began.agrees} moves`},{' or go on as another.'}
            </p>
          )}
          {began && began.others.length > 0 && (
            <>
              <p className="text-soft">{began.isOwn ? 'These begin so too:' : 'It is the beginning of:'}</p>
              {others(began.others)}
            </>
          )}
          {began && !began.isOwn && began.others.length === 0 && <p className="text-soft">No knot to nine moves begins so.</p>}
        </div>
      </details>
    </div>
  );
}

interface Made {
  readonly to: 'left' | 'right' | 'centre';
  readonly side: Pass['side'];
}

/** What the hand can do next: to another region, in front and behind by turns. */
function nextMoves(made: readonly Made[], steps: readonly { readonly to: Made['to']; readonly pass: Pass['side'] }[]): Made[] {
  const last = made.at(-1);
  const start = steps[0]?.to === 'left' ? 'right' : 'left';
  const from = last?.to ?? start;
  const sides: readonly Pass['side'][] = last ? [last.side === 'front' ? 'behind' : 'front'] : ['front', 'behind'];
  return sides.flatMap((side) =>
    (['left', 'centre', 'right'] as const).filter((to) => to !== from && (last || to !== 'centre')).map((to) => ({ to, side })),
  );
}

function inWords({ to, side }: Made): string {
  if (to === 'centre') return side === 'front' ? 'over and down through the throat' : 'up and out through the throat';
  return `${side === 'front' ? 'across the front' : 'behind'} to the ${to}`;
}

function bandsInWords(bands: number): string {
  return bands === 0 ? 'no band' : bands === 1 ? 'one band' : `${bands} bands`;
}
