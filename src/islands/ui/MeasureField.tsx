import { type ReactNode, useId, useState } from 'react';
import type { Measure } from '../../core/measures/measures.ts';
import { type Fineness, formatFigure, type LengthUnit, mmPerInch, parseLength, unitLabel } from '../../core/units/length.ts';
import { HowTo, type HowToProps } from '../../drawing/howto/HowTo.tsx';
import { type LengthEntry, useEntry } from './entry.ts';
import { useAtRest } from './useAtRest.ts';

interface MeasureFieldProps {
  readonly name: string;
  readonly measure: Measure;
  readonly units: LengthUnit;
  /** What is estimated while the field is empty, mm. */
  readonly estimatedMm?: number | undefined;
  /** The recorded value, to show what was changed from it, mm. */
  readonly recordedMm?: number | null | undefined;
  /** Whether an empty field means “not measured”. */
  readonly optional?: boolean;
  /** What can be done with a value that is not the recorded one. */
  readonly offer?: ReactNode;
  /** Told whenever a hand changes it. */
  readonly onEdit?: () => void;
  /** Where the tape lies, drawn beside the label. */
  readonly sketch?: HowToProps;
}

/** The field for lengths. It reads every notation, writes the reader's unit, and shows its fault beside it. */
export function MeasureField({
  name,
  measure,
  units,
  estimatedMm,
  recordedMm,
  optional = false,
  offer,
  onEdit,
  sketch,
}: MeasureFieldProps) {
  const { value: entry, fault, onChange: set } = useEntry<LengthEntry | undefined>(name);
  const onChange = (next: LengthEntry) => {
    set(next);
    onEdit?.();
  };
  const [draft, setDraft] = useState<{ readonly text: string; readonly entry: LengthEntry }>();
  const id = useId();
  const { fineness } = measure;
  // What is being typed stands only as long as the value is still the one it gave.
  const typed = draft?.entry === entry ? draft?.text : undefined;
  const shown = typed ?? (typeof entry === 'number' ? formatFigure(entry, units, fineness) : (entry ?? ''));
  // A hand that passes by what is on record doesn't make the line under the field come and go.
  const changed = useAtRest(recordedMm !== undefined && entry !== recordedMm);
  const recorded = typeof recordedMm === 'number' ? formatFigure(recordedMm, units, fineness) : 'not measured';

  const read = (text: string): LengthEntry => {
    if (text.trim() === '') return optional ? null : '';
    return parseLength(text, units, fineness) ?? text;
  };

  return (
    <div className="grid grid-cols-[minmax(0,1fr)_7.25rem] items-center gap-x-2 border-b border-faint py-1">
      <label htmlFor={id} className="flex items-center gap-2 leading-tight">
        {sketch && <HowTo {...sketch} />}
        {measure.label}
      </label>
      <span className="flex items-baseline gap-1">
        <input
          id={id}
          inputMode="text"
          autoComplete="off"
          spellCheck={false}
          className={`figures h-9 w-full min-w-0 border-b-2 bg-transparent px-1 text-right text-xl text-set placeholder:text-soft ${fault ? 'border-outside bg-outside-wash' : 'border-set/40 focus:border-set'}`}
          value={shown}
          placeholder={estimatedMm === undefined ? '' : `≈ ${formatFigure(estimatedMm, units, fineness)}`}
          title={measure.how}
          aria-invalid={fault !== undefined}
          aria-describedby={`${id}-more`}
          onFocus={(event) => event.currentTarget.select()}
          onChange={(event) => {
            const next = read(event.target.value);
            setDraft({ text: event.target.value, entry: next });
            onChange(next);
          }}
          onBlur={() => setDraft(undefined)}
          onKeyDown={(event) => {
            if (event.key === 'Enter') setDraft(undefined);
            const step = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
            if (step === 0 || typeof entry !== 'number') return;
            event.preventDefault();
            setDraft(undefined);
            const stepMm = stepOf(units, fineness);
            onChange(Number(((Math.round(entry / stepMm) + step) * stepMm).toFixed(3)));
          }}
        />
        <span className="w-7 shrink-0 text-note text-soft">{unitLabel(units, fineness)}</span>
      </span>
      <span id={`${id}-more`} className="col-span-2 text-note">
        {fault ? (
          <span className="text-outside">{fault}</span>
        ) : changed ? (
          <span className="flex flex-wrap items-baseline gap-x-2 text-soft">
            On record: {recorded} {typeof entry === 'number' && offer}
          </span>
        ) : (
          <span className="sr-only">{measure.how}</span>
        )}
      </span>
    </div>
  );
}

/** What one press of an arrow key changes: a millimetre or an eighth of an inch; a tenth of a millimetre where that counts. */
function stepOf(units: LengthUnit, fineness: Fineness | undefined): number {
  if (fineness === 'thickness' || (fineness === 'fine' && units === 'cm')) return 0.1;
  return units === 'in' ? mmPerInch / 8 : 1;
}
