import { afterWear, loopedInWords } from '../../../core/care/afterWear.ts';
import { fabricCare } from '../../../core/care/fabricCare.ts';
import { loopedRoom } from '../../../core/care/looped.ts';
import { endsOf } from '../../../core/guide/ends.ts';
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
  /** How far the end that stands is drawn out in the picture, 0 to 1; `null` where that is not shown. */
  readonly out: number | null;
  readonly onOut: (share: number | null) => void;
}

/** What the picture shows of a knot whose standing end is drawn out so far. */
function drawnInWords(share: number, end: string): string {
  if (share === 0) return `Loosened; the ${end} still goes through.`;
  return share < 1 ? `The ${end} is drawn up, slowly.` : `The ${end} is out: the turns come loose.`;
}

/** The knot untied without harm to the tie. */
export function Untying({ knot, seat, blade, plan, request, onShow, out, onOut }: UntyingProps) {
  const { stands } = endsOf(knot);
  const gentle = pullsOpen(knot);
  return (
    <div className="min-h-0 space-y-2 overflow-y-auto py-2">
      {gentle && (
        <>
          <p className="text-lg font-medium text-follows">{gentle}</p>
          <label className="flex items-center gap-3">
            <span className="shrink-0">Draw the {stands} out</span>
            <input
              type="range"
              className="h-9 w-full accent-set"
              min={0}
              max={1}
              step={0.05}
              value={out ?? 0}
              aria-valuetext={drawnInWords(out ?? 0, stands)}
              onChange={(event) => onOut(Number(event.target.value))}
            />
          </label>
          <p role="status" className="min-h-6 text-soft">
            {out === null ? 'The picture follows: the turns open by themselves once nothing goes through them.' : drawnInWords(out, stands)}
          </p>
        </>
      )}
      <p className={gentle ? 'text-soft' : 'text-lg'}>{whyNotDrag}</p>
      <ol className="list-decimal pl-7">
        {untyingOf(knot, seat, blade).map(({ say, done }, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the steps are told by their order.
          <li key={i} className="py-0.5">
            {done === null ? (
              say
            ) : (
              <button
                type="button"
                className="cursor-pointer text-left align-top hover:text-set"
                onClick={() => {
                  onOut(null);
                  onShow(done);
                }}
              >
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
