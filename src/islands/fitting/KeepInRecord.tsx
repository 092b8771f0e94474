import { dayIn } from '../../contract/days.ts';
import { type RecordOf, type TakenCode, takenCodes } from '../../contract/records/records.ts';
import { formatLength } from '../../core/units/length.ts';
import { useSurroundings } from '../atHand/useAtHand.ts';
import { useKeeping } from '../records/form/useKeeping.ts';
import { Button } from '../ui/Button.tsx';
import { kindOf, type RecordedPiece } from './recorded.ts';

interface KeepInRecordProps<P extends RecordedPiece> {
  readonly piece: P;
  readonly record: RecordOf[(typeof kindOf)[P]];
  readonly measure: string;
  readonly mm: number;
}

/** Offers a measure that was taken here to the record it is of: a client's with its day, a piece's in place of the one before. */
export function KeepInRecord<P extends RecordedPiece>({ piece, record, measure, mm }: KeepInRecordProps<P>) {
  const { units, studio, store } = useSurroundings();
  const keeping = useKeeping(kindOf[piece], units, () => {
    if (piece !== 'client') store.set(`${piece}.draft`, false);
  });
  const busy = keeping.state === 'keeping' || keeping.state === 'waiting';
  const whose = piece === 'client' ? 'the client’s record' : `the ${piece}’s record`;
  return (
    <span className="flex flex-wrap items-baseline gap-x-2">
      <Button
        look="text"
        className="min-h-6"
        disabled={busy}
        aria-label={`Keep ${formatLength(mm, units)} in ${whose}`}
        onClick={() => keeping.keep(withMeasure(piece, record, measure, mm, dayIn(studio.timeZone)))}
      >
        {busy ? 'Keeping…' : `Keep in ${whose}`}
      </Button>
      {(keeping.state === 'waiting' || keeping.message || keeping.theirs) && (
        <span role="status" className="text-outside">
          {keeping.state === 'waiting'
            ? 'The studio’s records can’t be reached. Still trying.'
            : (keeping.message ?? 'Somebody else changed it meanwhile. Reload the page to see it.')}
        </span>
      )}
    </span>
  );
}

function withMeasure<P extends RecordedPiece>(
  piece: P,
  record: RecordOf[(typeof kindOf)[P]],
  measure: string,
  mm: number,
  today: string,
): RecordOf[(typeof kindOf)[P]] {
  if (piece !== 'client') return { ...record, [measure]: mm, draft: false };
  if (!isTaken(measure)) return { ...record, [measure]: mm };
  const { measures } = record as RecordOf['clients'];
  const others = measures.filter((each) => each.measure !== measure || each.takenOn !== today);
  return { ...record, measures: [{ measure, mm, how: 'tape', takenOn: today }, ...others] };
}

function isTaken(measure: string): measure is TakenCode {
  return takenCodes.some((each) => each === measure);
}
