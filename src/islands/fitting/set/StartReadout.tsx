import type { KnotPlan } from '../../../core/index.ts';
import { formatFigure, formatLength, type LengthUnit, roughly, unitLabel } from '../../../core/units/length.ts';
import { beside } from './beside.ts';
import { crossedReading, otherEnd, startSeam, tipSpan } from './setInWords.ts';

interface StartReadoutProps {
  readonly knot: KnotPlan;
  readonly gapMm: number;
  readonly units: LengthUnit;
  readonly stale: boolean;
}

/** Where the end that is set hangs before the first move, large enough to read from where the client stands. */
export function StartReadout({ knot, gapMm, units, stale }: StartReadoutProps) {
  const { start, properties, tip, refusal } = knot;
  if (refusal) {
    return (
      <section aria-label="Start" className="text-outside" aria-live="polite">
        <h2 className="text-lg font-medium">{refusal.text}</h2>
      </section>
    );
  }
  const { set } = start;
  const nearest = [start.landmarks.find(({ kind }) => kind === 'button'), start.landmarks.find(({ kind }) => kind === 'body')]
    .filter((each) => each !== undefined)
    .toSorted((a, b) => Math.abs(a.offsetMm) - Math.abs(b.offsetMm));
  return (
    <section aria-label="Start" aria-live="polite" className={stale ? 'opacity-50' : ''}>
      <h2 className="text-2xl leading-tight font-medium">Set the {set.end} tip at</h2>
      <div className="flex flex-wrap items-center gap-x-8 gap-y-2">
        <div className="shrink-0 text-follows">
          <p className="figures-alone flex items-baseline gap-1.5 text-start" data-testid="start">
            {formatFigure(roughly(set.dropMm, units), units)} <span className="text-4xl">{unitLabel(units)}</span>
          </p>
          <p className="pt-1 text-xl leading-snug text-ink">below the collar button</p>
          <details className="text-note text-soft">
            <summary className="flex min-h-6 cursor-pointer items-center text-set">Exact</summary>
            <span data-testid="start-exact">{formatLength(set.dropMm, units)}</span>
          </details>
        </div>
        <ul className="space-y-2 text-xl leading-snug text-follows">
          {nearest.map((landmark) => (
            <li key={landmark.name}>{beside(landmark, units)}</li>
          ))}
          <li>{otherEnd(start, units)}</li>
        </ul>
      </div>
      <p className="pt-2 text-lg leading-snug text-soft">
        {startSeam(properties)} {crossedReading(start, gapMm, units)} Blade tip should end {tipSpan(tip, units)} below the collar button (2
        times in 3).
      </p>
    </section>
  );
}
