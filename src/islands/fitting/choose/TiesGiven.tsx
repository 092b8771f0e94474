import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef } from 'react';
import { sayDayShortly } from '../../../contract/days.ts';
import { sayStanding } from '../../../contract/sayStanding.ts';
import { standingOf } from '../../../core/care/standing.ts';
import { chanceInWords } from '../../../core/plan/chance.ts';
import { inPercent } from '../../../core/plan/criteria/collarFill.ts';
import { dressing } from '../../../core/plan/habits.ts';
import { setIn } from '../../../core/start/reading.ts';
import { formatFigure, roughly, unitLabel } from '../../../core/units/length.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { withTie } from '../../atHand/values.ts';
import { Link } from '../../ui/Button.tsx';
import { Swatch } from '../../ui/Swatch.tsx';
import { useKnotTitle } from '../../wire/useKnotTitles.ts';
import { CollarShare } from './CollarShare.tsx';
import { type ListedTie, useTiesGiven } from './useTiesGiven.ts';

interface TiesGivenProps {
  /** The knot that must be worn; without it each tie stands with the knots it does best. */
  readonly knot?: string;
}

/** A tie and each of its knots are about so high, px. */
const tiePx = 45;
const knotPx = 38;

/** The ties at hand for what is given: each with one knot, or with the one to three it does best, and their starts. Only those in sight are drawn. */
export function TiesGiven({ knot }: TiesGivenProps) {
  const { store, values, state, units } = useAsked();
  const titleOf = useKnotTitle();
  const listed = useTiesGiven(knot);
  const scroller = useRef<HTMLDivElement>(null);
  const places = useVirtualizer({
    count: listed.length,
    estimateSize: (index) => tiePx + knotPx * (listed[index]?.knots.length ?? 1),
    getScrollElement: () => scroller.current,
    getItemKey: (index) => listed[index]?.id ?? index,
    overscan: 6,
    // Until the list is measured, and where nothing is laid out, as many as a window shows.
    initialRect: { width: 0, height: 600 },
  });
  const take = ({ tie, knots }: ListedTie, moves = knots[0]?.moves) =>
    store.change((now) => ({ ...withTie(now, tie), knot: moves ?? now.knot }));
  if (listed.length === 0) {
    return (
      <p className="py-4 text-lg">
        No ties in the wardrobe yet. <Link href="/ties/new">Add a tie</Link>
      </p>
    );
  }
  return (
    <>
      <p className="flex justify-between gap-2 pr-2 text-note text-soft">
        <span>{listed.length === 1 ? '1 tie' : `${listed.length} ties`}, best first</span>
        <span>
          {dressing.readsAt[state].label}, {unitLabel(units)}
        </span>
      </p>
      <div ref={scroller} className="min-h-40 grow overflow-y-auto contain-layout">
        <ul aria-label="Ties, best first" className="relative" style={{ height: places.getTotalSize() }}>
          {places.getVirtualItems().map(({ index, start }) => {
            const each = listed[index];
            if (!each) return null;
            const { tie } = each;
            const standing = standingOf(tie);
            return (
              <li
                key={each.id}
                ref={places.measureElement}
                data-index={index}
                data-tie={each.id}
                aria-posinset={index + 1}
                aria-setsize={listed.length}
                style={{ transform: `translateY(${start}px)` }}
                className="absolute inset-x-0 top-0 border-b border-faint py-1 data-[now=true]:bg-white"
                data-now={values.tie.id === each.id}
              >
                <button
                  type="button"
                  aria-pressed={values.tie.id === each.id}
                  className="flex min-h-9 w-full cursor-pointer items-center gap-2 text-left text-lg leading-5 font-medium hover:text-set"
                  onClick={() => take(each)}
                >
                  <Swatch colours={tie.colours} />
                  {tie.label}
                  {tie.draft && <span className="text-note font-normal text-soft">draft</span>}
                  {standing.code !== 'ready' && (
                    <span className="text-note font-normal text-soft">{sayStanding(standing, sayDayShortly)}</span>
                  )}
                </button>
                {each.knots.map((plan) => (
                  <button
                    key={plan.moves}
                    type="button"
                    className="grid min-h-8 w-full cursor-pointer grid-cols-[minmax(0,1fr)_auto_4.5rem] items-center gap-x-3 pr-2 pl-7 text-left hover:text-set"
                    onClick={() => take(each, plan.moves)}
                  >
                    <span className="leading-tight">{titleOf(plan)}</span>
                    <CollarShare percent={inPercent(plan.collar.fill)} />
                    {plan.feasible ? (
                      <span className="text-right leading-tight">
                        <span className="figures text-lg text-follows">
                          {formatFigure(roughly(setIn(plan.start, state), units), units)}
                        </span>
                        <span className="block text-note whitespace-nowrap text-soft">{chanceInWords(plan.tip.inBandProbability)}</span>
                      </span>
                    ) : (
                      <span className="text-right text-note text-outside">won’t work</span>
                    )}
                  </button>
                ))}
              </li>
            );
          })}
        </ul>
      </div>
      <p className="border-t border-line pt-1 text-note">
        <Link href="/choose-a-tie">Judge every tie, colours too</Link> · <Link href="/buying-brief">Buying brief</Link>
      </p>
    </>
  );
}
