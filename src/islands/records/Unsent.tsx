import { CloudOff } from 'lucide-react';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { isKind } from '../../contract/records/kindWords.ts';
import { keepForOffline, keptSince } from '../device/offline.ts';
import { Button, Link } from '../ui/Button.tsx';
import { capital } from '../ui/words.ts';
import { followLine, lineDownSince } from '../wire/line.ts';
import { allUnsent, dropUnsent, followUnsent, giveUpUnsent, type HeldUnsent, isOwn, sendLeft } from '../wire/unsent.ts';
import { type Draft, keepDraft } from './form/drafts.ts';

const everyMs = 5000;
/** A server that is started again is back within this: no reason to say anything. */
const patienceMs = 4000;
const none: readonly HeldUnsent[] = [];
const clock = (at: number) => new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
const dayAndClock = (at: number) => `${new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'long' })}, ${clock(at)}`;

/** What a page that is gone has left to be sent, and what became of it; and that the server can’t be reached. On every page, over it. */
export function Unsent() {
  const all = useSyncExternalStore(followUnsent, allUnsent, () => none);
  const downSince = useSyncExternalStore(followLine, lineDownSince, () => undefined);
  const [kept, setKept] = useState<readonly HeldUnsent[]>([]);
  const [now, setNow] = useState(0);
  useEffect(keepForOffline, []);
  const left = all.filter((each) => !isOwn(each.key));
  const waits = left.some(({ refused }) => refused === undefined);
  useEffect(() => {
    if (!waits) return;
    const send = () => void sendLeft().then((more) => more.length > 0 && setKept((before) => [...before, ...more]));
    send();
    const tries = setInterval(send, everyMs);
    window.addEventListener('online', send);
    return () => {
      clearInterval(tries);
      window.removeEventListener('online', send);
    };
  }, [waits]);
  useEffect(() => {
    if (downSince === undefined) return;
    const timer = setTimeout(() => setNow(Date.now()), patienceMs);
    return () => clearTimeout(timer);
  }, [downSince]);
  const [shownAsOf, setShownAsOf] = useState<number>();
  useEffect(() => setShownAsOf(keptSince()), []);
  const isDown = downSince !== undefined && now - downSince >= patienceMs;
  const waiting = left.filter(({ refused }) => refused === undefined);
  const refused = left.filter((each) => each.refused !== undefined);
  // Shut, it stays so until there is something new to tell.
  const newsWith = (saved: number) => `${isDown} ${waiting.length} ${refused.length} ${saved}`;
  const [shutAt, setShutAt] = useState<string>();
  if (!isDown && shownAsOf === undefined && left.length === 0 && kept.length === 0) return null;
  if (shutAt === newsWith(kept.length))
    return (
      <Button look="plain" className="fixed right-3 bottom-3 z-30 bg-white print:hidden" onClick={() => setShutAt(undefined)}>
        <CloudOff aria-hidden className="size-5" />
        {left.length > 0 ? `${left.length} not sent yet` : isDown ? 'No connection' : 'Kept page'}
      </Button>
    );
  return (
    <aside
      aria-label="What waits on this device"
      className="fixed right-3 bottom-3 z-30 max-h-[60vh] max-w-[34rem] space-y-2 overflow-y-auto border-2 border-ink bg-white px-4 py-3 shadow-lg print:hidden"
    >
      <div role="status" className="space-y-1">
        {isDown && (
          <p className="flex gap-3 text-outside">
            <CloudOff aria-hidden className="mt-0.5 size-5 shrink-0" />
            <span>
              Ropewalk’s server hasn’t answered since {clock(downSince)}. What stands here can be worked with; what you save is kept on this
              device and sent once it answers.
            </span>
          </p>
        )}
        {shownAsOf !== undefined && (
          <p>
            This page is shown as this device kept it on {dayAndClock(shownAsOf)}.{' '}
            {!isDown && <Link href={location.href}>Load it again</Link>}
          </p>
        )}
        {waiting.length > 0 && (
          <p>
            Not sent yet, and kept on this device: {waiting.map(told).join('; ')}. {isDown ? 'Still trying.' : 'Sending…'}
          </p>
        )}
        {kept.length > 0 && <p>Saved now: {kept.map(told).join('; ')}.</p>}
      </div>
      {refused.map((each, i) => (
        <Refused
          key={each.key}
          unsent={each}
          isFirst={i === 0 && !isDown && shownAsOf === undefined && waiting.length + kept.length === 0}
        />
      ))}
      <Button
        look="text"
        onClick={() => {
          setKept([]);
          setShutAt(newsWith(0));
        }}
      >
        Close
      </Button>
    </aside>
  );
}

function Refused({ unsent, isFirst }: { readonly unsent: HeldUnsent; readonly isFirst: boolean }) {
  const { key, page, draft, refused } = unsent;
  const [, kind, id = ''] = page.split('/');
  const open = () => {
    // Back in the form it was entered in; saved from there, what another person changed is shown beside it.
    if (isKind(kind) && draft) {
      keepDraft(kind, id, draft as Draft);
      dropUnsent(key);
    }
    location.assign(page);
  };
  return (
    <div role="alert" className={isFirst ? '' : 'border-t border-line pt-2'}>
      <p className="text-outside">
        Not saved: {told(unsent)}. {refused}
      </p>
      <p className="flex flex-wrap gap-4">
        <Button look="text" onClick={open}>
          {draft ? 'Open what you entered' : 'Go to its page'}
        </Button>
        <Button look="text" onClick={() => giveUpUnsent(key)}>
          Discard it
        </Button>
      </p>
    </div>
  );
}

const told = ({ what, at }: HeldUnsent) => `${capital(what)} (${clock(at)})`;
