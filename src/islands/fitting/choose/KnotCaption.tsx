import type { Advice, KnotPlan } from '../../../core/index.ts';
import { Button } from '../../ui/Button.tsx';
import { useKnotTitle } from '../../wire/useKnotTitles.ts';

interface KnotCaptionProps {
  readonly knot: KnotPlan;
  readonly advice: readonly Advice[];
  readonly isBest: boolean;
  readonly onBest: () => void;
}

/** The chosen knot by name under its picture, and what is worth saying about the outfit. */
export function KnotCaption({ knot, advice, isBest, onBest }: KnotCaptionProps) {
  return (
    <div className="pt-1">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <a href={`/knots/${knot.code}`} className="text-2xl font-semibold hover:underline" data-testid="chosen-knot">
          {useKnotTitle()(knot)}
        </a>
        <span className="text-soft">
          {isBest ? 'best match' : `${ordinal(knot.rank)} in the ranking`}, {knot.properties.moves} moves
          {knot.properties.selfReleasing ? ', pulls open' : ''}
        </span>
        {!isBest && (
          <Button look="text" onClick={onBest}>
            Back to best match
          </Button>
        )}
      </p>
      <ul className="max-h-20 overflow-y-auto text-note leading-snug text-soft">
        {advice.map(({ code, text }) => (
          <li key={code} className={code === 'no-knot-lands' ? 'text-outside' : ''}>
            {text}
          </li>
        ))}
      </ul>
    </div>
  );
}

const ordinalRules = new Intl.PluralRules('en', { type: 'ordinal' });
const ordinalEndings: Readonly<Record<string, string>> = { one: 'st', two: 'nd', few: 'rd', other: 'th' };

function ordinal(count: number): string {
  return `${count}${ordinalEndings[ordinalRules.select(count)] ?? 'th'}`;
}
