import { Check, Minus, X } from 'lucide-react';
import { memo } from 'react';
import type { Reason } from '../../core/index.ts';

/** What speaks for and against, each with its mark. */
export function ReasonList({ reasons }: { readonly reasons: readonly Reason[] }) {
  return (
    <ul className="space-y-1 pt-1 pb-2 text-[0.95rem] leading-snug">
      {reasons.map(({ code, verdict, text }) => (
        <Line key={code} verdict={verdict} text={text} />
      ))}
    </ul>
  );
}

const Line = memo(function Line({ verdict, text }: Pick<Reason, 'verdict' | 'text'>) {
  return (
    <li className="flex gap-1.5">
      <VerdictMark verdict={verdict} />
      <span>{text}</span>
    </li>
  );
});

const marks = {
  good: { Icon: Check, label: 'in favour', className: 'text-follows' },
  fair: { Icon: Minus, label: 'neutral', className: 'text-soft' },
  poor: { Icon: X, label: 'against', className: 'text-outside' },
} as const;

/** Good, fair, or poor, as a picture with its words. */
export function VerdictMark({ verdict }: { readonly verdict: Reason['verdict'] }) {
  const { Icon, label, className } = marks[verdict];
  return <Icon role="img" aria-label={label} className={`mt-0.5 size-4 shrink-0 ${className}`} />;
}
