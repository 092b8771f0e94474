import { afterWear, loopedInWords } from '../../../core/care/afterWear.ts';
import { fabricCare } from '../../../core/care/fabricCare.ts';
import { loopedRoom } from '../../../core/care/looped.ts';
import type { Seat } from '../../../core/guide/seat.ts';
import { pullsOpen, untyingOf, whyNotDrag } from '../../../core/guide/untying.ts';
import type { Knot, KnotPlan, PlanRequest } from '../../../core/index.ts';
import { formatLength, roughly } from '../../../core/units/length.ts';

interface UntyingProps {
  readonly knot: Knot;
  readonly seat: Seat;
  readonly blade: 'left' | 'right';
  readonly plan: KnotPlan;
  readonly request: PlanRequest;
  /** Shows the tie after so many moves. */
  readonly onShow: (done: number) => void;
}

/** The knot untied without harm to the tie. */
export function Untying({ knot, seat, blade, plan, request, onShow }: UntyingProps) {
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
              <button type="button" className="cursor-pointer text-left align-top hover:text-set" onClick={() => onShow(done)}>
                {say}
              </button>
            )}
          </li>
        ))}
      </ol>
      <section aria-label="After wear" className="border-t border-line pt-1">
        <p className="text-lg">{afterWear(request.tie.fabric)}</p>
        <p className="text-soft">{fabricCare[request.tie.fabric].care}</p>
        <p className="pt-1 text-soft">
          Some keep it looped.{' '}
          {loopedInWords(request.tie.fabric, loopedRoom(plan, request), (mm) => formatLength(roughly(mm, request.units), request.units))}
        </p>
      </section>
    </div>
  );
}
