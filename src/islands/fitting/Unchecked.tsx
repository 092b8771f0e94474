import { useAsked } from '../atHand/useAtHand.ts';
import { Link } from '../ui/Button.tsx';

/** The client was fitted before, and nobody has said how it came out. */
export function Unchecked() {
  const { client, wardrobe } = useAsked();
  const { unchecked } = wardrobe;
  if (!client || !unchecked) return null;
  return (
    <p className="px-5 text-note text-soft">
      {unchecked.title} of {unchecked.day}: not checked yet. <Link href={`/fittings/${unchecked.id}?stage=check`}>Say how it came out</Link>
    </p>
  );
}
