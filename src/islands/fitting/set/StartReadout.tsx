import type { KnotPlan, NearLandmark } from '../../../core/index.ts';
import { endToSet } from '../../../core/plan/setting.ts';
import { formatFigure, formatLength, type LengthUnit, unitLabel } from '../../../core/units/length.ts';

interface StartReadoutProps {
  readonly knot: KnotPlan;
  readonly units: LengthUnit;
  readonly stale: boolean;
}

/** Where the end that is set hangs before the first move, large enough to read from where the client stands. */
export function StartReadout({ knot, units, stale }: StartReadoutProps) {
  const { start, properties, tip } = knot;
  const toSet = endToSet(start);
  const nearest = [start.landmarks.find(({ kind }) => kind === 'button'), start.landmarks.find(({ kind }) => kind === 'body')].filter(
    (each) => each !== undefined,
  );
  nearest.sort((a, b) => Math.abs(a.offsetMm) - Math.abs(b.offsetMm));
  if (!knot.feasible) {
    return (
      <section aria-label="Start" className="text-outside" aria-live="polite">
        <h2 className="text-lg font-medium">This knot cannot be set</h2>
        <p className="pt-1">{knot.reasons.find(({ code }) => code === 'narrow-end')?.text}</p>
      </section>
    );
  }
  return (
    <section aria-label="Start" aria-live="polite" className={stale ? 'opacity-50' : ''}>
      <h2 className="text-lg leading-tight font-medium">Hang the {toSet.name}</h2>
      <div className="flex items-center gap-4">
        <p className="shrink-0 text-follows">
          <span className="figures-alone flex items-baseline gap-1.5 text-start" data-testid="start">
            {formatFigure(toSet.dropMm, units)} <span className="text-2xl">{unitLabel(units)}</span>
          </span>
          <span className="block pt-1 text-[0.95rem] leading-snug text-ink">below the collar button</span>
        </p>
        <ul className="space-y-1 text-[0.95rem] leading-snug text-follows">
          {nearest.map((landmark) => (
            <li key={landmark.name}>{beside(landmark, units)}</li>
          ))}
          <li>
            {toSet.name === 'blade' ? 'narrow tip' : 'blade tip'} {formatLength(Math.abs(start.differenceMm), units)}{' '}
            {start.differenceMm >= 0 === (toSet.name === 'narrow tip') ? 'lower' : 'higher'}
          </li>
        </ul>
      </div>
      <p className="pt-1.5 text-note text-soft">
        Seam {properties.startSeam}. Tip then {formatFigure(tip.dropMm - tip.sdMm, units)} to {formatLength(tip.dropMm + tip.sdMm, units)}{' '}
        two times in three.
      </p>
    </section>
  );
}

/** `1.8 cm above the navel`; points of the body are known to a thumb's width only, so those are told as about. */
export function beside({ name, kind, offsetMm }: NearLandmark, units: LengthUnit): string {
  const near = 4;
  if (Math.abs(offsetMm) < near) return `${kind === 'body' ? 'about ' : ''}level with the ${name}`;
  const about = kind === 'body' ? 'about ' : '';
  return `${about}${formatLength(Math.abs(offsetMm), units)} ${offsetMm > 0 ? 'below' : 'above'} the ${name}`;
}
