import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, memo, useRef } from 'react';
import type { TieRecord } from '../../../../contract/records/records.ts';
import { tieStates } from '../../../../core/tie/making.ts';
import type { RankedTie } from '../../../../core/wardrobe/rankTies.ts';
import { HangingTie } from '../../../../drawing/wardrobe/HangingTie.tsx';
import { lookOf } from '../../../seen/dressed.ts';

interface RailProps {
  readonly ranked: readonly RankedTie[];
  readonly ties: ReadonlyMap<string, TieRecord>;
  readonly chosenId: string | undefined;
  readonly onChoose: (id: string) => void;
}

const placePx = 124;

/** The ties on the rail, best match first; only those in sight are drawn. */
export const Rail = memo(function Rail({ ranked, ties, chosenId, onChoose }: RailProps) {
  const scroller = useRef<HTMLDivElement>(null);
  const places = useVirtualizer({
    horizontal: true,
    count: ranked.length,
    estimateSize: () => placePx,
    getScrollElement: () => scroller.current,
    getItemKey: (index) => ranked[index]?.id ?? index,
    overscan: 4,
  });
  const at = ranked.findIndex(({ id }) => id === chosenId);

  const onKeyDown = (event: KeyboardEvent) => {
    const steps: Readonly<Record<string, number>> = { ArrowRight: at + 1, ArrowLeft: at - 1, Home: 0, End: ranked.length - 1 };
    const next = steps[event.key];
    const tie = next === undefined ? undefined : ranked[next];
    if (next === undefined || !tie) return;
    event.preventDefault();
    onChoose(tie.id);
    places.scrollToIndex(next);
  };

  return (
    <div ref={scroller} className="overflow-x-auto border-b border-line pb-2 contain-layout">
      <div
        role="listbox"
        aria-label="Ties, best match first"
        aria-orientation="horizontal"
        aria-activedescendant={chosenId ? `tie-${chosenId}` : undefined}
        tabIndex={0}
        onKeyDown={onKeyDown}
        className="relative h-66"
        style={{ width: places.getTotalSize() }}
      >
        {places.getVirtualItems().map(({ index, start }) => {
          const ranking = ranked[index];
          const tie = ranking && ties.get(ranking.id);
          if (!tie || !ranking) return null;
          const isChosen = tie.id === chosenId;
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
              className={`absolute top-0 flex h-full cursor-pointer flex-col px-1 ${isChosen ? 'bg-white' : 'hover:bg-white/60'}`}
              style={{ width: placePx, transform: `translateX(${start}px)` }}
            >
              <div className={`min-h-0 grow ${ranking.feasible ? '' : 'opacity-45'}`}>
                <HangingTie id={`rail-${tie.id}`} tie={tie} cloth={lookOf(tie, tie.colours)} />
              </div>
              <p className="line-clamp-2 h-10 shrink-0 text-[0.95rem] leading-5 font-medium">{tie.label}</p>
              <p className={`shrink-0 truncate text-note ${ranking.feasible ? 'text-follows' : 'text-outside'}`}>
                {ranking.feasible ? ranking.best : 'won’t work'}
              </p>
              <p className="shrink-0 truncate text-note text-soft">
                {tie.state !== 'rack' ? tieStates[tie.state].label : tie.clientId === null ? 'the studio’s' : 'the client’s'}
              </p>
            </div>
          );
        })}
      </div>
    </div>
  );
});
