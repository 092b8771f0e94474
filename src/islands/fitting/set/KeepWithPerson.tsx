import type { PersonRecord } from '../../../contract/records/records.ts';
import { measures } from '../../../core/measures/measures.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { useKeeping } from '../../records/form/useKeeping.ts';
import { Button } from '../../ui/Button.tsx';

/** Offers the slack of a crossed loop to whoever crosses so: it belongs to the hands, not to the client. */
export function KeepWithPerson({ person, slackMm }: { readonly person: PersonRecord; readonly slackMm: number }) {
  const { units } = useAsked();
  const keeping = useKeeping('people', units, () => undefined);
  const { minMm, maxMm } = measures.person.slackMm;
  if (slackMm < minMm || slackMm > maxMm || Math.round(slackMm) === person.slackMm) return null;
  const busy = keeping.state === 'keeping' || keeping.state === 'waiting';
  return (
    <>
      <Button look="text" className="min-h-6" disabled={busy} onClick={() => keeping.keep({ ...person, slackMm: Math.round(slackMm) })}>
        {busy ? 'Keeping…' : `Keep it as how ${person.name} crosses`}
      </Button>
      {keeping.message && (
        <span role="status" className="text-outside">
          {keeping.message}
        </span>
      )}
    </>
  );
}
