import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, memo, useRef } from 'react';
import { sayDayShortly } from '../../../../contract/days.ts';
import type { TieAtHand } from '../../../../contract/records/records.ts';
import { sayStanding } from '../../../../contract/sayStanding.ts';
import { standingOf } from '../../../../core/care/standing.ts';
import type { RankedTie } from '../../../../core/wardrobe/rankTies.ts';
import { TieOnLapel } from '../../../../drawing/wardrobe/TieOnLapel.tsx';
import { lookOf } from '../../../seen/dressed.ts';

interface LaidTiesProps {
  readonly ranked: readonly RankedTie[];
  readonly ties: ReadonlyMap<string, TieAtHand>;
  /** `undefined` without a jacket. */
  readonly lapelMm: number | undefined;
  readonly chosenId: string | undefined;
  readonly onChoose: (id: string) => void;
}

const placePx = 72;

/** The ties laid over the lapel one below the other, best match first; only those in sight are drawn. */
export const LaidTies = memo(function LaidTies({ ranked, ties, lapelMm, chosenId, onChoose }: LaidTiesProps) {
  const scroller = useRef<HTMLDivElement>(null);
  const places = useVirtualizer({
    count: ranked.length,
    estimateSize: () => placePx,
    getScrollElement: () => scroller.current,
    getItemKey: (index) => ranked[index]?.id ?? index,
    overscan: 4,
  });
  const at = ranked.findIndex(({ id }) => id === chosenId);

  const onKeyDown = (event: KeyboardEvent) => {
    const steps: Readonly<Record<string, number>> = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: ranked.length - 1 };
    const next = steps[event.key];
    const tie = next === undefined ? undefined : ranked[next];
    if (next === undefined || !tie) return;
    event.preventDefault();
    onChoose(tie.id);
    places.scrollToIndex(next);
  };

  return (
    <div ref={scroller} className="max-h-[42rem] min-h-40 grow overflow-y-auto contain-layout">
      <div
        role="listbox"
        aria-label="Ties, best match first"
        aria-activedescendant={chosenId ? `tie-${chosenId}` : undefined}
        tabIndex={0}
        onKeyDown={onKeyDown}
        className="relative"
        style={{ height: places.getTotalSize() }}
      >
        {places.getVirtualItems().map(({ index, start }) => {
          const ranking = ranked[index];
          const tie = ranking && ties.get(ranking.id);
          if (!tie || !ranking) return null;
          const isChosen = tie.id === chosenId;
          const standing = standingOf(tie);
          return (
            // biome-ignore lint/a11y/useKeyWithClickEvents: the list takes the keys for all of its options.
            <div
              key={tie.id}
              id={`tie-${tie.id}`}
              role="option"
              tabIndex={-1}
              aria-selected={isChosen}
              data-place={index + 1}
              onClick={() => onChoose(tie.id)}
              className={`absolute inset-x-0 grid cursor-pointer grid-cols-[10rem_minmax(0,1fr)] items-center gap-x-3 border-b border-faint ${isChosen ? 'bg-white' : 'hover:bg-white/60'}`}
              style={{ height: placePx, transform: `translateY(${start}px)` }}
            >
              <div className={`h-full py-1 ${ranking.feasible ? '' : 'opacity-45'}`}>
                <TieOnLapel id={`laid-${tie.id}`} tie={tie} cloth={lookOf(tie, tie.colours)} lapelMm={lapelMm} />
              </div>
              <div className="min-w-0">
                <p className="line-clamp-2 text-[0.95rem] leading-5 font-medium">{tie.label}</p>
                <p className="truncate text-note">
                  <span className={ranking.feasible ? 'text-follows' : 'text-outside'}>
                    {ranking.feasible ? ranking.best : 'won’t work'}
                  </span>
                  <span className="text-soft">
                    {' · '}
                    {standing.code === 'ready'
                      ? tie.clientId === null
                        ? 'the studio’s'
                        : 'the client’s'
                      : sayStanding(standing, sayDayShortly)}
                  </span>
                </p>
              </div>
            </div>
          );
        })}
      </div>
    </div>
  );
});
