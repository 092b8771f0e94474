import { type FindingCode, findings, type RemedyKind } from '../../../core/fitbook/findings.ts';
import { Button } from '../../ui/Button.tsx';
import type { StageCode } from '../stages.ts';

interface RemediesProps {
  readonly found: readonly FindingCode[];
  readonly onGo: (stage: StageCode) => void;
}

/** Where each kind of remedy is at hand. */
const ways: Readonly<Record<RemedyKind, { readonly stage: StageCode; readonly label: string } | null>> = {
  knot: { stage: 'choose', label: 'Other knots' },
  finish: { stage: 'tie', label: 'Show the finish' },
  lay: { stage: 'tie', label: 'Step by step' },
  piece: null,
};

/** What was found, why it comes about and what helps, each with its remedy one tap away. */
export function Remedies({ found, onGo }: RemediesProps) {
  if (found.length === 0) return null;
  return (
    <section aria-label="What helps">
      <ul>
        {found.map((code) => {
          const { label, cause, remedy, kind } = findings[code];
          const way = ways[kind];
          return (
            <li key={code} className="flex items-center justify-between gap-3 border-b border-faint py-1 leading-snug">
              <span>
                <b className="font-medium text-outside">{label}</b>: {cause}. {remedy}
              </span>
              {way && (
                <Button look="other" className="shrink-0" onClick={() => onGo(way.stage)}>
                  {way.label}
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
