import type { ServedOutfit } from './useBuyingBrief.ts';

interface ServedOutfitsProps {
  readonly name: string;
  readonly served: readonly ServedOutfit[];
  /** How many will have been looked at in the end. */
  readonly count: number;
}

/** Which of a client's outfits a tie from the window would serve. */
export function ServedOutfits({ name, served, count }: ServedOutfitsProps) {
  if (count === 0) return null;
  return (
    <section aria-label="Outfits it would serve" className="pt-2">
      <h2 className="text-lg font-medium">How much of the window also serves {name}’s outfits</h2>
      <ul aria-busy={served.length < count}>
        {served.map(({ key, title, share }) => (
          <li key={key} className="flex items-baseline justify-between gap-4 border-t border-line py-1">
            <span>{title}</span>
            <span className={share > 0 ? 'text-follows' : 'text-outside'}>{inWords(share)}</span>
          </li>
        ))}
        {served.length < count && <li className="py-1 text-soft">Loading the others…</li>}
      </ul>
    </section>
  );
}

function inWords(share: number): string {
  if (share === 0) return 'none of it';
  if (share >= 0.995) return 'all of it';
  return `${Math.round(share * 100)}%`;
}
