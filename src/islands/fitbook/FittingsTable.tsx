import { useQueryClient } from '@tanstack/react-query';
import { answerKeys } from '../../contract/answerKeys.ts';
import { sayDay } from '../../contract/days.ts';
import type { FittingResult, FittingSummary, FittingsBy } from '../../contract/fitting.ts';
import type { Frame } from '../../core/index.ts';
import { formatLength, type LengthUnit, roughly } from '../../core/units/length.ts';
import { viewLabels } from '../../drawing/geometry/view.ts';
import { cameOut } from '../records/cameOut.ts';
import { Link } from '../ui/Button.tsx';
import { DeleteAsked } from '../ui/DeleteAsked.tsx';
import { Moves } from '../ui/Moves.tsx';
import { Swatch } from '../ui/Swatch.tsx';
import { deleteFitting } from '../wire/queries.ts';

interface Order {
  readonly by: FittingsBy;
  readonly down: boolean;
}

interface FittingsTableProps {
  readonly fittings: readonly FittingSummary[];
  readonly units: LengthUnit;
  readonly view: Frame['view'];
  readonly timeZone: string;
  readonly order: Order;
  readonly onOrder: (order: Order) => void;
}

/** What is first looked at where a column is ordered by: the newest, the furthest off; names from A. */
const downFirst: ReadonlySet<FittingsBy> = new Set(['day', 'off']);

export function FittingsTable({ fittings, units, view, timeZone, order, onOrder }: FittingsTableProps) {
  const queries = useQueryClient();
  const head = (by: FittingsBy, label: string) => (
    <th aria-sort={order.by === by ? (order.down ? 'descending' : 'ascending') : 'none'} className="py-1 pr-3 font-normal">
      <button
        type="button"
        className="min-h-9 min-w-9 pr-2 text-left text-set underline decoration-1 underline-offset-4"
        onClick={() => onOrder({ by, down: order.by === by ? !order.down : downFirst.has(by) })}
      >
        {label}
        {order.by === by && <span aria-hidden="true">{order.down ? ' ↓' : ' ↑'}</span>}
      </button>
    </th>
  );
  return (
    <table className="w-full border-collapse text-left">
      <caption className="sr-only">Fittings and what became of them</caption>
      <thead className="border-b-2 border-ink text-note text-soft">
        <tr>
          {head('day', 'Day')}
          {head('client', 'Client')}
          {head('tie', 'Tie')}
          {head('knot', `Knot; moves ${viewLabels[view].name}`)}
          <th className="pr-3 text-right font-normal">Set at</th>
          {head('off', 'How it came out')}
        </tr>
      </thead>
      <tbody>
        {fittings.map((fitting) => (
          <tr key={fitting.id} className="border-b border-line align-top hover:bg-white/60">
            <td className="py-2 pr-3 whitespace-nowrap">
              {sayDay(fitting.createdAt, timeZone)}
              {fitting.personName && <span className="block text-note text-soft">{fitting.personName}</span>}
            </td>
            <td className="pr-3">
              <a
                className="inline-block py-2 text-lg font-medium text-set underline decoration-1 underline-offset-4"
                href={`/fittings/${fitting.id}`}
              >
                {fitting.clientName}
              </a>
              {fitting.note && <p className="max-w-60 pb-1 text-note text-soft">{fitting.note}</p>}
            </td>
            <td className="py-2 pr-3">
              <span className="flex items-center gap-2">
                <Swatch colours={fitting.cloth.tie} />
                {fitting.tieLabel}
              </span>
              <span className="text-note text-soft">{[fitting.shirtLabel, fitting.jacketLabel].filter(Boolean).join('; ')}</span>
            </td>
            <td className="py-2 pr-3">
              <span className="text-lg">{fitting.title}</span>
              <Moves of={fitting.knot} frame={{ view, blade: fitting.blade }} className="block text-note text-soft" />
              {fitting.blade === 'left' && <span className="block text-note text-soft">blade on the wearer’s left</span>}
            </td>
            <td className="py-2 pr-3 text-right whitespace-nowrap">
              {fitting.set && (
                <>
                  <span className="figures text-lg text-follows">{formatLength(roughly(fitting.set.dropMm, units), units)}</span>
                  <span className="block text-note text-soft">{fitting.set.end} tip</span>
                </>
              )}
            </td>
            <td className="py-2">
              {!fitting.set ? (
                <DeleteAsked
                  warning="It is damaged; what it was is lost."
                  remove={() => deleteFitting(fitting.id)}
                  onGone={() => void queries.invalidateQueries({ queryKey: answerKeys.allFittings() })}
                />
              ) : fitting.result ? (
                <CameOut result={fitting.result} units={units} />
              ) : (
                <Link href={`/fittings/${fitting.id}?stage=check`}>Not checked yet</Link>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function CameOut({ result, units }: { readonly result: FittingResult; readonly units: LengthUnit }) {
  const { tip, within, rest } = cameOut(result, units);
  return (
    <>
      <span className={within ? 'text-follows' : 'text-outside'}>
        {tip}
        {within ? '' : ', outside'}
      </span>
      <span className="block text-note text-soft">{rest}</span>
    </>
  );
}
