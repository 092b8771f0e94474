import { useMemo, useState } from 'react';
import type { KnotPlan } from '../../../core/index.ts';
import { whyNot } from '../../../core/plan/whyNot.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { Button } from '../../ui/Button.tsx';

const mostShown = 4;

/** Of a knot with something against it: the smallest single changes that would make it right. */
export function WhyNot({ knot }: { readonly knot: KnotPlan }) {
  const [asked, setAsked] = useState(false);
  if (knot.reasons.every(({ verdict }) => verdict !== 'poor')) return null;
  return (
    <div className="pb-2">
      <Button look="text" className="min-h-8" aria-expanded={asked} onClick={() => setAsked(!asked)}>
        What would make it right?
      </Button>
      {asked && <Remedies moves={knot.moves} />}
    </div>
  );
}

function Remedies({ moves }: { readonly moves: string }) {
  const { question } = useAsked();
  const { remedies, makes } = useMemo(() => whyNot(question, moves), [question, moves]);
  if (remedies.length === 0) return <p className="text-soft">No single change does: it takes two, or another knot.</p>;
  return (
    <>
      <p className="text-note text-soft">
        {makes === 'right'
          ? 'Any one of these is enough; the smallest change first.'
          : 'No single change makes it right. Any one of these lets it work; the smallest first.'}
      </p>
      <ol className="list-decimal space-y-0.5 pl-5 leading-snug text-follows">
        {remedies.slice(0, mostShown).map(({ code, text }) => (
          <li key={code}>{text}</li>
        ))}
      </ol>
    </>
  );
}
