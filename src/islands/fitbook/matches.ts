import type { FittingSummary } from '../../contract/fitting.ts';

/** Whether a fitting holds every word that is sought, wherever in it. */
export function matches(fitting: FittingSummary, sought: string): boolean {
  const text = [
    fitting.clientName,
    fitting.personName ?? '',
    fitting.tieLabel,
    fitting.shirtLabel,
    fitting.jacketLabel ?? '',
    fitting.title,
    fitting.note,
  ]
    .join(' ')
    .toLowerCase();
  return sought
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}
