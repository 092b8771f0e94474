import { frontDropOf } from '../../../core/body/frontDrop.ts';
import type { KnotPlan, PlanRequest } from '../../../core/index.ts';
import { chanceInWords } from '../../../core/plan/chance.ts';
import { toleranceAround } from '../../../core/plan/landing.ts';
import { judgePinch, pinchedOf } from '../../../core/start/pinch.ts';
import { formatLength, roughly } from '../../../core/units/length.ts';
import { Button } from '../../ui/Button.tsx';
import { SeenField } from './SeenField.tsx';
import { againstBelt } from './startInWords.ts';

interface PinchCheckProps {
  readonly plan: KnotPlan;
  readonly request: PlanRequest;
  readonly seenMm: number | undefined;
  readonly onSeen: (mm: number | undefined) => void;
  readonly onUndo: () => void;
}

/** The knot is half made and pinched shut in one hand, undoing is still cheap: what should be seen now, and whether to go on. */
export function PinchCheck({ plan, request, seenMm, onSeen, onUndo }: PinchCheckProps) {
  const { units, aim, client } = request;
  const drop = frontDropOf(client);
  const pinched = pinchedOf(plan);
  if (!pinched) return <p className="py-2 text-lg">Nothing to check here: the blade hung at its length before the first move.</p>;
  const expectedMm = pinched.tipMm - drop.meanMm;
  const verdict = seenMm === undefined ? undefined : judgePinch(plan, seenMm - expectedMm, toleranceAround(plan.tip, drop, aim));
  const move = verdict && formatLength(roughly(Math.abs(verdict.moveMm), units), units);
  return (
    <section aria-label="Pinch check" aria-live="polite" className="space-y-2 py-2">
      <p className="text-lg leading-snug">
        Before the {plan.properties.finish === 'tuck' ? 'tuck' : 'last drop over'}: pinch the knot shut up at the collar button and lay the
        blade down over it.
      </p>
      <p className="text-2xl leading-tight font-medium">
        The tip should hang <span className="text-follows">{againstBelt(roughly(expectedMm, units), units)}</span>.
      </p>
      {pinched.lowersMm > 0 && (
        <p className="text-soft">
          Through the band it comes {formatLength(pinched.lowersMm, units)} lower: it no longer goes over the knot.
        </p>
      )}
      <SeenField label="Seen" mm={seenMm} expectedMm={expectedMm} units={units} onChange={onSeen} />
      {verdict && (
        <p className={`text-2xl leading-tight font-medium ${verdict.advice === 'go-on' ? 'text-follows' : 'text-outside'}`}>
          {verdict.advice === 'go-on'
            ? `Go on: ends within tolerance ${chanceInWords(verdict.goesOn)}.`
            : `Undo, and set the tail tip ${move} ${verdict.moveMm > 0 ? 'lower' : 'higher'}.`}
        </p>
      )}
      {verdict?.advice === 'undo' && (
        <p className="text-soft">
          Going on would end within tolerance {chanceInWords(verdict.goesOn)}.{' '}
          <Button look="text" onClick={onUndo}>
            It was tied to the end all the same
          </Button>
        </p>
      )}
      <p className="text-note text-soft">One finger’s room at the throat, always; stop at any discomfort.</p>
    </section>
  );
}
