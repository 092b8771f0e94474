import { useQuery } from '@tanstack/react-query';
import { type SyntheticEvent, useState } from 'react';
import { dayIn, isDay, sayDay } from '../../contract/days.ts';
import { longestLine } from '../../contract/records/kinds/kindOf.ts';
import type { CareRecord, StudioSeen, TieRecord } from '../../contract/records/records.ts';
import { sayStanding } from '../../contract/sayStanding.ts';
import { afterWear } from '../../core/care/afterWear.ts';
import { type DealingCode, dealings } from '../../core/care/dealings.ts';
import { fabricCare } from '../../core/care/fabricCare.ts';
import { standingOf } from '../../core/care/standing.ts';
import { Button, Link } from '../ui/Button.tsx';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { capital, times } from '../ui/words.ts';
import { recordQuery, tieLifeQuery } from '../wire/queries.ts';
import { useKeeping } from './form/useKeeping.ts';
import { noRecord, RecordChooser } from './RecordChooser.tsx';

/** What can be noted of a tie, as the buttons say it, and what ends it. */
const deeds: Readonly<Record<DealingCode, { readonly begin: string; readonly end: string; readonly asksWho: boolean }>> = {
  worn: { begin: 'Worn', end: '', asksWho: true },
  lent: { begin: 'Lend', end: 'Back today', asksWho: true },
  repair: { begin: 'To repair', end: 'Repaired, back today', asksWho: false },
  looped: { begin: 'Keep looped', end: 'Undone today', asksWho: false },
  aside: { begin: 'Lay aside', end: 'Back in the wardrobe today', asksWho: false },
};
const deedCodes = Object.keys(deeds) as DealingCode[];

interface TieStandingProps {
  readonly tie: TieRecord;
  readonly studio: StudioSeen;
}

/** Where a tie stands today, what it wants after wear, and what happens to it now: noted in a tap or two, and taken back as easily. */
export function TieStanding({ tie, studio }: TieStandingProps) {
  const { data } = useQuery(tieLifeQuery(tie.id));
  const [begun, setBegun] = useState<DealingCode>();
  const [noted, setNoted] = useState<CareRecord>();
  const keeping = useKeeping('cares', studio.units, (kept) => {
    setNoted(kept.archived ? undefined : kept);
    setBegun(undefined);
  });
  if (!data) return null;
  const today = dayIn(studio.timeZone);
  const standing = standingOf({ fabric: tie.fabric, care: data.care });
  const held =
    data.care.held && data.notes.find(({ what, untilOn }) => what === data.care.held?.what && (untilOn === null || untilOn > today));
  const note = (what: DealingCode, fromOn: string, clientId: string | null, text: string) =>
    keeping.keep({
      id: crypto.randomUUID(),
      version: 0,
      archived: false,
      label: `${capital(dealings[what].label)}, ${tie.label}`.slice(0, longestLine),
      tieId: tie.id,
      what,
      clientId,
      fromOn,
      untilOn: null,
      note: text,
    });
  const busy = keeping.state === 'keeping' || keeping.state === 'waiting';
  const { wearings, wornOn } = data.care;
  return (
    <section aria-label="Where it stands" className="mb-3 border-b-2 border-ink pb-2">
      <div className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1">
        <p className="text-xl">
          <b className={`font-medium ${standing.code === 'ready' ? 'text-follows' : 'text-outside'}`}>{capital(sayStanding(standing))}</b>
          {standing.clientId && <With id={standing.clientId} />}.{' '}
          <span className="text-base text-soft">
            {wornOn === null ? 'Never worn yet.' : `Worn ${times(wearings)}, last on ${sayDay(wornOn, 'UTC')}.`}
          </span>
        </p>
        <p className="flex flex-wrap items-center gap-2">
          {held ? (
            <Button disabled={busy} onClick={() => keeping.keep({ ...held, untilOn: today })}>
              {deeds[held.what].end}
            </Button>
          ) : (
            deedCodes.map((code) => (
              <Button
                key={code}
                look="other"
                aria-expanded={begun === code}
                disabled={busy}
                onClick={() => setBegun(begun === code ? undefined : code)}
              >
                {deeds[code].begin}
              </Button>
            ))
          )}
        </p>
      </div>
      {begun && <Begin key={begun} what={begun} tie={tie} today={today} busy={busy} onNote={note} onLeave={() => setBegun(undefined)} />}
      <p role="status">
        {noted && !busy && (
          <>
            Noted: {dealings[noted.what].label}
            {noted.untilOn === null
              ? ` ${noted.what === 'worn' ? 'on' : 'since'} ${sayDay(noted.fromOn, 'UTC')}`
              : `, until ${sayDay(noted.untilOn, 'UTC')}`}
            .{' '}
            <Button
              look="text"
              onClick={() => keeping.keep(noted.untilOn === null ? { ...noted, archived: true } : { ...noted, untilOn: null })}
            >
              Undo
            </Button>
          </>
        )}
      </p>
      {keeping.state === 'waiting' && <OutageNotice what="Not noted yet; nothing you entered is lost." />}
      {keeping.message && <p className="text-outside">Not noted. {keeping.message}</p>}
      <p className="text-soft">
        After wear: undo it by reversing the moves. {afterWear(tie.fabric)} {fabricCare[tie.fabric].care}
      </p>
    </section>
  );
}

function With({ id }: { readonly id: string }) {
  const { data } = useQuery(recordQuery('clients', id));
  return (
    <>
      , with <Link href={`/clients/${id}`}>{data?.name ?? 'Loading…'}</Link>
    </>
  );
}

interface BeginProps {
  readonly what: DealingCode;
  readonly tie: TieRecord;
  readonly today: string;
  readonly busy: boolean;
  readonly onNote: (what: DealingCode, fromOn: string, clientId: string | null, note: string) => void;
  readonly onLeave: () => void;
}

/** Since when, who, and a word to it. */
function Begin({ what, tie, today, busy, onNote, onLeave }: BeginProps) {
  const [day, setDay] = useState(today);
  const [who, setWho] = useState<{ readonly id: string; readonly name: string } | null>(null);
  const [text, setText] = useState('');
  const right = isDay(day);
  const keep = (event: SyntheticEvent) => {
    event.preventDefault();
    if (right) onNote(what, day, who?.id ?? null, text.trim());
  };
  return (
    <form
      aria-label={deeds[what].begin}
      className="my-1 flex flex-wrap items-end gap-x-6 gap-y-1 bg-set-wash px-3 py-2"
      onSubmit={keep}
      onKeyDown={({ key }) => key === 'Escape' && onLeave()}
    >
      <label className="flex items-baseline gap-2">
        {what === 'worn' ? 'On' : 'Since'}
        <input
          type="date"
          required
          className="h-9 border-b-2 border-set/40 bg-transparent px-1 text-lg text-set focus:border-set"
          value={day}
          onChange={({ target }) => setDay(target.value)}
        />
      </label>
      {deeds[what].asksWho && (
        <span className="flex items-baseline gap-2">
          <span aria-hidden>{what === 'lent' ? 'To' : 'By'}</span>
          <RecordChooser
            kind="clients"
            label={what === 'lent' ? 'Lent to' : 'Worn by'}
            value={who?.id ?? noRecord}
            placeholder={who?.name ?? 'nobody named'}
            none="nobody named"
            onChoose={(id, name) => setWho(id === noRecord ? null : { id, name })}
          />
        </span>
      )}
      <label className="flex grow items-baseline gap-2">
        {what === 'repair' ? 'What is to be done' : 'Note'}
        <input
          className="h-9 w-full border-b-2 border-set/40 bg-transparent px-1 text-lg text-set focus:border-set"
          value={text}
          maxLength={500}
          onChange={({ target }) => setText(target.value)}
        />
      </label>
      <Button type="submit" disabled={busy || !right}>
        {busy ? 'Saving…' : 'Note it'}
      </Button>
      {what === 'looped' && (
        <p className="w-full">
          What it costs: {fabricCare[tie.fabric].looped}, and it never rests. Keep a hand’s breadth of the tail below the knot, or the loop
          is lost.
        </p>
      )}
    </form>
  );
}
