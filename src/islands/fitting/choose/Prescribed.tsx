import { sayDay } from '../../../contract/days.ts';
import { prescribedInWords } from '../../../contract/records/prescribed.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { ownWaysOf, withRegulation } from '../../atHand/values.ts';
import { Button, Link } from '../../ui/Button.tsx';

/** What the occasion falls under, with the day it was known on; it holds while single pieces are exchanged, until it is taken off. */
export function Prescribed() {
  const { store, values, wardrobe, client } = useAsked();
  const rule = wardrobe.regulations.find(({ id }) => id === values.regulation?.id);
  if (!rule) return null;
  const takeOff = () =>
    store.change((now) => {
      const free = withRegulation(now, null, ownWaysOf(client));
      return free.knot === rule.knot ? { ...free, knot: client?.ownKnot ?? null } : free;
    });
  return (
    <p className="border-b border-line py-1">
      <Link href={`/regulations/${rule.id}`}>{rule.label}</Link>, as of {sayDay(rule.asOf, 'UTC')}: {prescribedInWords(rule)} The service’s
      current regulation decides.{' '}
      <Button look="text" className="min-h-6" onClick={takeOff}>
        Not for this fitting
      </Button>
    </p>
  );
}
