import { X } from 'lucide-react';
import { useController, useFormContext } from 'react-hook-form';
import { latest } from '../../../../contract/records/asWorn.ts';
import type { TakenMeasure } from '../../../../contract/records/records.ts';
import { type FrontCode, frontDropOf, type Taking, takings } from '../../../../core/body/frontDrop.ts';
import { measures } from '../../../../core/measures/measures.ts';
import { formatFigure, formatLength, type LengthUnit, unitLabel } from '../../../../core/units/length.ts';
import { useFault } from '../../../ui/faults.ts';
import { formatDay } from '../../../ui/formatDay.ts';
import { type Entry, MeasureField } from '../../../ui/MeasureField.tsx';
import { Switch } from '../../../ui/Switch.tsx';
import { Tool } from '../../../ui/Tool.tsx';
import type { Entries } from '../entries.ts';

const keys = ['frontDropMm', 'heightMm', 'neckMm'] as const;

/** A taking as it stands in the fields. */
type TakingEntry = Omit<TakenMeasure, 'mm'> & { readonly mm: Entry };

/** What the tape said, when, and how; the newest of each counts, the others are kept beneath. */
export function MeasuresField({ units }: { readonly units: LengthUnit }) {
  const { field } = useController({ name: 'measures' });
  const { watch } = useFormContext<Entries>();
  const all = field.value as readonly TakingEntry[];
  const today = new Date().toISOString().slice(0, 10);
  const taken = all.filter((each): each is TakenMeasure => typeof each.mm === 'number');
  const front = watch('front') as FrontCode;
  const fault = useFault('measures');
  return (
    <div>
      {keys.map((key) => (
        <OneMeasure
          key={key}
          measure={key}
          units={units}
          all={all}
          today={today}
          supposedMm={key === 'frontDropMm' ? supposedDrop(taken, front) : undefined}
          onChange={field.onChange}
        />
      ))}
      {fault && <p className="text-note text-outside">{fault}</p>}
    </div>
  );
}

function supposedDrop(taken: readonly TakenMeasure[], front: FrontCode): number | undefined {
  const height = latest(taken, 'heightMm');
  return height && frontDropOf({ heightMm: height.mm, frontDropMm: null, front }).meanMm;
}

interface OneMeasureProps {
  readonly measure: TakenMeasure['measure'];
  readonly units: LengthUnit;
  readonly all: readonly TakingEntry[];
  readonly today: string;
  readonly supposedMm: number | undefined;
  readonly onChange: (all: readonly TakingEntry[]) => void;
}

function OneMeasure({ measure, units, all, today, supposedMm, onChange }: OneMeasureProps) {
  const definition = measures.client[measure];
  const at = all.findIndex((each) => each.measure === measure && each.takenOn === today);
  const now = all[at];
  const older = all
    .filter((each) => each.measure === measure && each.takenOn !== today)
    .toSorted((a, b) => b.takenOn.localeCompare(a.takenOn));
  const [last] = older;
  const change = (next: TakingEntry) => onChange(all.map((each, i) => (i === at ? next : each)));
  const remove = (gone: TakingEntry) => onChange(all.filter((each) => each !== gone));
  return (
    <div className="border-b border-faint pb-1">
      {now ? (
        <>
          <MeasureField<Entries>
            name={`measures.${at}.mm`}
            measure={definition}
            units={units}
            supposedMm={typeof last?.mm === 'number' ? last.mm : supposedMm}
            sketch={{ of: 'client', measure }}
          />
          <div className="flex items-center justify-between">
            <Switch
              label={`How the ${definition.label.toLowerCase()} was taken`}
              value={now.how}
              choices={Object.entries(takings).map(([key, { label }]) => ({ key: key as Taking, label }))}
              onChange={(how) => change({ ...now, how })}
            />
            <span className="flex items-center text-note text-soft">
              today
              <Tool label={`Leave the ${definition.label.toLowerCase()} as it was`} onPress={() => remove(now)}>
                <X aria-hidden className="size-4" />
              </Tool>
            </span>
          </div>
        </>
      ) : (
        <div className="grid grid-cols-[1fr_auto_auto] items-baseline gap-x-3 py-1">
          <span>{definition.label}</span>
          <span className={`figures text-xl ${last?.how === 'tape' ? 'text-set' : 'text-follows'}`}>
            {typeof last?.mm === 'number'
              ? `${last.how === 'estimate' ? '≈ ' : ''}${formatLength(last.mm, units)}`
              : supposedMm === undefined
                ? 'not taken'
                : `≈ ${formatLength(supposedMm, units)}`}
          </span>
          <button
            type="button"
            className="min-h-9 cursor-pointer text-set underline"
            onClick={() => onChange([...all, { measure, mm: '', how: 'tape', takenOn: today }])}
          >
            {last ? 'take anew' : 'take'}
          </button>
          <span className="col-span-3 text-note text-soft">
            {last
              ? `${takings[last.how].label}, ${formatDay(last.takenOn)}`
              : supposedMm === undefined
                ? definition.how
                : 'supposed from height'}
          </span>
        </div>
      )}
      {older.length > (now ? 0 : 1) && (
        <details className="text-note text-soft">
          <summary className="min-h-7 cursor-pointer">earlier</summary>
          <ul>
            {older.slice(now ? 0 : 1).map((each) => (
              <li key={each.takenOn} className="flex items-center justify-between">
                <span>
                  <span className="figures">
                    {typeof each.mm === 'number' ? `${formatFigure(each.mm, units)} ${unitLabel(units)}` : String(each.mm)}
                  </span>{' '}
                  {takings[each.how].label}, {formatDay(each.takenOn)}
                </span>
                <Tool label={`Strike out the ${definition.label.toLowerCase()} of ${formatDay(each.takenOn)}`} onPress={() => remove(each)}>
                  <X aria-hidden className="size-4" />
                </Tool>
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}
