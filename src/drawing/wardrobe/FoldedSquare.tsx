import { type ColouredCloth, sharesOf } from '../../core/colour/cloth.ts';

/** A pocket square in a flat fold, its colours as wide as their shares. Decorative: the words beside it say the same. */
export function FoldedSquare({ cloth, className }: { readonly cloth: ColouredCloth; readonly className?: string }) {
  const shares = sharesOf(cloth);
  const starts = shares.map((_, i) => shares.slice(0, i).reduce((sum, { share }) => sum + share, 0));
  const x = (at: number) => 6 + 88 * at;
  const top = (at: number) => 10 - 4 * at;
  return (
    <svg viewBox="0 0 100 62" className={className} aria-hidden="true">
      <g stroke="#000" strokeOpacity="0.35" strokeWidth="0.8">
        {shares.map(({ colour, share }, i) => (
          <path
            key={`${colour} ${starts[i]}`}
            d={`M${x(starts[i] ?? 0)} 58V${top(starts[i] ?? 0)}L${x((starts[i] ?? 0) + share)} ${top((starts[i] ?? 0) + share)}V58Z`}
            fill={colour}
            stroke="none"
          />
        ))}
        <path d="M6 58V10l88 -4V58" fill="none" />
      </g>
      <path d="M0 58H100" stroke="var(--color-ink)" strokeWidth="4" />
    </svg>
  );
}
