import { sayDay } from '../../../contract/days.ts';
import { prescribedInWords } from '../../../contract/records/prescribed.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { regulationOf } from '../../atHand/values.ts';
import { Link } from '../../ui/Button.tsx';

/** What the outfit falls under, with the day it was known on. */
export function Prescribed() {
  const { values, wardrobe } = useAsked();
  const rule = regulationOf(
    wardrobe.outfits.find(({ id }) => id === values.outfit?.id),
    wardrobe.regulations,
  );
  if (!rule) return null;
  return (
    <p className="border-b border-line py-1">
      <Link href={`/regulations/${rule.id}`}>{rule.label}</Link>, as of {sayDay(rule.asOf, 'UTC')}: {prescribedInWords(rule)} The service’s
      current regulation decides.
    </p>
  );
}
