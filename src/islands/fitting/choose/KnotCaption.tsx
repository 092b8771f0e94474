import type { Advice, KnotPlan } from '../../../core/index.ts';
import { useKnotTitle } from '../../wire/useKnotTitles.ts';

interface KnotCaptionProps {
  readonly knot: KnotPlan;
  readonly advice: readonly Advice[];
  readonly isFirstPick: boolean;
  readonly onFirstPick: () => void;
}

/** The chosen knot by name under its picture, and what is worth saying about the outfit. */
export function KnotCaption({ knot, advice, isFirstPick, onFirstPick }: KnotCaptionProps) {
  return (
    <div className="pt-1">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span className="text-2xl font-semibold" data-testid="chosen-knot">
          {useKnotTitle()(knot)}
        </span>
        <span className="text-soft">
          {isFirstPick ? 'first pick' : `${ordinal(knot.rank)} pick`}, {knot.properties.moves} moves
          {knot.properties.selfReleasing ? ', falls open when the narrow end is drawn out' : ''}
        </span>
        {!isFirstPick && (
          <button type="button" className="cursor-pointer text-set underline" onClick={onFirstPick}>
            back to the first
          </button>
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
