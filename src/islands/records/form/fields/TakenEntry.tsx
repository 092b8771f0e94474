import { X } from 'lucide-react';
import { dayIn, sayDay } from '../../../../contract/days.ts';
import { latest } from '../../../../contract/records/asWorn.ts';
import { type TakenCode, type TakenMeasure, takenCodes } from '../../../../contract/records/records.ts';
import { type FrontCode, frontDropOf, type Taking, takings } from '../../../../core/body/frontDrop.ts';
import { type Measure, measures } from '../../../../core/measures/measures.ts';
import { formatLength } from '../../../../core/units/length.ts';
import { Button } from '../../../ui/Button.tsx';
import { type LengthEntry, useEntry } from '../../../ui/entry.ts';
import { MeasureField } from '../../../ui/MeasureField.tsx';
import { Switch } from '../../../ui/Switch.tsx';
import { Tool } from '../../../ui/Tool.tsx';
import { useRecord } from '../useRecord.ts';

/** A taking as it stands in the fields. */
type TakingEntry = Omit<TakenMeasure, 'mm'> & { readonly mm: LengthEntry };

/** What the tape said, when, and how; the newest of each counts, the others are kept beneath. */
export function TakenEntry({ name }: { readonly name: string }) {
  const { studio, entries } = useRecord();
  const { value: all, fault, onChange } = useEntry<readonly TakingEntry[]>(name);
  const today = dayIn(studio.timeZone);
  const estimate = estimatedDrop(
    all.filter((each): each is TakenMeasure => typeof each.mm === 'number'),
    entries['front'] as FrontCode,
  );
  return (
    <div>
      {takenCodes.map((measure) => (
        <OneMeasure
          key={measure}
          name={name}
          measure={measure}
          all={all}
          today={today}
          estimatedMm={measure === 'frontDropMm' ? estimate : undefined}
          onChange={onChange}
        />
      ))}
      {fault && <p className="text-note text-outside">{fault}</p>}
    </div>
  );
}

function estimatedDrop(taken: readonly TakenMeasure[], front: FrontCode): number | undefined {
  const height = latest(taken, 'heightMm');
  return height && frontDropOf({ heightMm: height.mm, frontDropMm: null, front }).meanMm;
}

interface OneMeasureProps {
  readonly name: string;
  readonly measure: TakenCode;
  readonly all: readonly TakingEntry[];
  readonly today: string;
  readonly estimatedMm: number | undefined;
  readonly onChange: (all: readonly TakingEntry[]) => void;
}

function OneMeasure({ name, measure, all, today, estimatedMm, onChange }: OneMeasureProps) {
  const { units, studio } = useRecord();
  const definition: Measure = measures.client[measure];
  const { label } = definition;
  const say = (mm: number) => formatLength(mm, units, definition.fineness);
  const day = (takenOn: string) => sayDay(takenOn, studio.timeZone);
  const at = all.findIndex((each) => each.measure === measure && each.takenOn === today);
  const now = all[at];
  const older = all
    .filter((each) => each.measure === measure && each.takenOn !== today)
    .toSorted((a, b) => b.takenOn.localeCompare(a.takenOn));
  const [last] = older;
  const history = older.slice(now ? 0 : 1);
  const change = (next: TakingEntry) => onChange(all.map((each, i) => (i === at ? next : each)));
  const remove = (gone: TakingEntry) => onChange(all.filter((each) => each !== gone));
  return (
    <div className="border-b border-faint pb-1">
      {now ? (
        <>
          <MeasureField
            name={`${name}.${at}.mm`}
            measure={definition}
            units={units}
            estimatedMm={typeof last?.mm === 'number' ? last.mm : estimatedMm}
            sketch={{ of: 'client', measure }}
          />
          <div className="flex items-center justify-between">
            <Switch
              label={`How ${label.toLowerCase()} was measured`}
              value={now.how}
              choices={Object.entries(takings).map(([key, { label: how }]) => ({ key: key as Taking, label: how }))}
              onChange={(how) => change({ ...now, how })}
            />
            <span className="flex items-center text-note text-soft">
              today
              <Tool label={`Keep ${label.toLowerCase()} as it was`} onPress={() => remove(now)}>
                <X aria-hidden className="size-4" />
              </Tool>
            </span>
          </div>
        </>
      ) : (
        <div className="grid grid-cols-[1fr_auto_auto] items-baseline gap-x-3 py-1">
          <span>{label}</span>
          <span className={`figures text-xl ${last?.how === 'tape' ? 'text-set' : 'text-follows'}`}>
            {typeof last?.mm === 'number'
              ? `${last.how === 'estimate' ? '≈ ' : ''}${say(last.mm)}`
              : estimatedMm === undefined
                ? 'not measured'
                : `≈ ${say(estimatedMm)}`}
          </span>
          <Button look="text" onClick={() => onChange([...all, { measure, mm: '', how: 'tape', takenOn: today }])}>
            {last ? 'Re-measure' : 'Measure'}
            <span className="sr-only">: {label}</span>
          </Button>
          <span className="col-span-3 text-note text-soft">
            {last
              ? `${takings[last.how].label}, ${day(last.takenOn)}`
              : estimatedMm === undefined
                ? definition.how
                : 'estimated from height'}
          </span>
        </div>
      )}
      {history.length > 0 && (
        <details className="text-note text-soft">
          <summary className="flex min-h-7 cursor-pointer items-center text-set">History</summary>
          <ul>
            {history.map((each) => (
              <li key={each.takenOn} className="flex items-center justify-between">
                <span>
                  <span className="figures">{typeof each.mm === 'number' ? say(each.mm) : String(each.mm)}</span> {takings[each.how].label},{' '}
                  {day(each.takenOn)}
                </span>
                <Tool label={`Delete ${label.toLowerCase()} of ${day(each.takenOn)}`} onPress={() => remove(each)}>
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
