import type { Seat } from '../../../core/guide/seat.ts';
import { pullsOpen, untyingOf, whyNotDrag } from '../../../core/guide/untying.ts';
import type { Knot } from '../../../core/index.ts';

interface UntyingProps {
  readonly knot: Knot;
  readonly seat: Seat;
  readonly blade: 'left' | 'right';
  /** Shows the tie after so many moves. */
  readonly onShow: (done: number) => void;
}

/** The knot untied without harm to the tie. */
export function Untying({ knot, seat, blade, onShow }: UntyingProps) {
  const gentle = pullsOpen(knot);
  return (
    <div className="min-h-0 space-y-2 overflow-y-auto py-2">
      {gentle && <p className="text-lg font-medium text-follows">{gentle}</p>}
      <p className={gentle ? 'text-soft' : 'text-lg'}>{whyNotDrag}</p>
      <ol className="list-decimal pl-7">
        {untyingOf(knot, seat, blade).map(({ say, done }, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the steps are told by their order.
          <li key={i} className="py-0.5">
            {done === null ? (
              say
            ) : (
              <button type="button" className="cursor-pointer text-left hover:text-set" onClick={() => onShow(done)}>
                {say}
              </button>
            )}
          </li>
        ))}
      </ol>
      <p className="text-soft">Roll it up from the tail, or hang it, and give it a day’s rest. Never store it knotted.</p>
    </div>
  );
}
