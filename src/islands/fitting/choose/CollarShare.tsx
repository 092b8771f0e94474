import { memo } from 'react';
import { bandShowsUnder, inPercent, swampsOver } from '../../../core/plan/criteria/collarFill.ts';

/** The most of the edge that the mark shows. */
const most = 0.6;
const width = 84;

/** The part of the collar edge that a knot covers, as a mark on a scale whose good stretch is shaded. */
export const CollarShare = memo(function CollarShare({ percent }: { readonly percent: number }) {
  const x = (share: number) => (Math.min(share, most) / most) * width;
  const isGood = percent >= inPercent(bandShowsUnder) && percent <= inPercent(swampsOver);
  return (
    <span className="flex items-center gap-1.5">
      <svg viewBox={`0 0 ${width} 10`} className="h-2.5 w-21 shrink-0" aria-hidden="true">
        <rect x={x(bandShowsUnder)} y="1" width={x(swampsOver) - x(bandShowsUnder)} height="8" fill="var(--color-follows-wash)" />
        <path d={`M0 5H${width}`} stroke="var(--color-line)" />
        <path
          d={`M${x(percent / 100).toFixed(1)} 0V10`}
          stroke={isGood ? 'var(--color-follows)' : 'var(--color-outside)'}
          strokeWidth="2.5"
        />
      </svg>
      <span className="figures text-note text-soft">{percent}%</span>
    </span>
  );
});
