import { useId, useState } from 'react';
import { formatFigure, formatSpan, type LengthUnit, parseLength, unitLabel } from '../../core/units/length.ts';

interface PlainLengthProps {
  readonly label: string;
  readonly mm: number | undefined;
  /** What stands while nothing was entered. */
  readonly expectedMm?: number;
  readonly minMm: number;
  readonly maxMm: number;
  readonly units: LengthUnit;
  readonly onChange: (mm: number | undefined) => void;
}

/** A length that is read once and belongs to no record yet. What is none stays as it was typed, and says so. */
export function PlainLength({ label, mm, expectedMm, minMm, maxMm, units, onChange }: PlainLengthProps) {
  const id = useId();
  const [typed, setTyped] = useState<{ readonly text: string; readonly mm: number | undefined }>();
  const isTyped = typed !== undefined && typed.mm === mm;
  const fault = isTyped && typed.text.trim() !== '' && mm === undefined;
  return (
    <span className="flex flex-wrap items-baseline gap-x-2">
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        inputMode="text"
        autoComplete="off"
        className={`figures h-9 w-24 border-b-2 bg-transparent px-1 text-right text-xl text-set placeholder:text-soft ${fault ? 'border-outside bg-outside-wash' : 'border-set/40 focus:border-set'}`}
        value={isTyped ? typed.text : mm === undefined ? '' : formatFigure(mm, units)}
        placeholder={expectedMm === undefined ? '' : formatFigure(expectedMm, units)}
        aria-invalid={fault}
        aria-describedby={`${id}-fault`}
        onChange={(event) => {
          const read = parseLength(event.target.value, units);
          const next = read === undefined || read < minMm || read > maxMm ? undefined : read;
          setTyped({ text: event.target.value, mm: next });
          onChange(next);
        }}
      />
      <span className="text-soft">{unitLabel(units)}</span>
      <span id={`${id}-fault`} className="text-note text-outside">
        {fault && `Allowed: ${formatSpan(minMm, maxMm, units)}.`}
      </span>
    </span>
  );
}
