import { useId, useMemo } from 'react';
import type { KnotPlan } from '../../../core/index.ts';
import { aimAt, sizesOf } from '../../../core/start/size.ts';
import { formatLength } from '../../../core/units/length.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { againstBelt } from './startInWords.ts';

/** A difference in size that nobody sees is not offered, mm. */
const seenMm = 1;

/** One handle that trades the tip's length for the knot's size, within what the outfit hides. */
export function Size({ plan }: { readonly plan: KnotPlan }) {
  const { question, request, store, units } = useAsked();
  const id = useId();
  const sizes = useMemo(() => sizesOf(question, plan.moves), [question, plan.moves]);
  const { fromMm, toMm, largest, smallest } = sizes;
  if (largest.shape.topMm - smallest.shape.topMm < seenMm || !largest.feasible) return null;
  const { offsetMm } = request.aim;
  const told = `${formatLength(plan.shape.topMm, units)} across, tip ${againstBelt(offsetMm, units)}`;
  return (
    <div className="flex flex-wrap items-center gap-x-3 py-1">
      <label htmlFor={id} className="text-note text-soft">
        Smaller knot
      </label>
      <input
        id={id}
        type="range"
        className="h-8 min-w-24 grow accent-set"
        aria-label="Size of the knot, for the length of the tip"
        aria-valuetext={told}
        min={-toMm}
        max={-fromMm}
        step={5}
        value={-offsetMm}
        onChange={(event) => {
          const aim = aimAt(sizes, -Number(event.target.value));
          store.change((now) => ({ ...now, aim: 'own', knot: plan.moves, question: { ...now.question, aim } }));
        }}
      />
      <span className="text-note text-soft">Bigger</span>
      <span className="basis-64 text-note leading-tight text-follows">{told}</span>
    </div>
  );
}
