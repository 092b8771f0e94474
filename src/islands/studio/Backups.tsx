import { useQuery } from '@tanstack/react-query';
import { formatDistanceStrict } from 'date-fns';
import { ShieldAlert, ShieldCheck } from 'lucide-react';
import { type BackupsTold, isOld } from '../../contract/backups.ts';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { backupsQuery } from '../wire/queries.ts';

/** How old the last good backup is, for whoever answers for the studio’s records. */
export function Backups({ now = new Date() }: { readonly now?: Date }) {
  const { data: told, failureCount } = useQuery(backupsQuery);
  return (
    <section aria-labelledby="backups">
      <h2 id="backups" className="border-b-2 border-ink pb-1 text-2xl font-semibold">
        Backups
      </h2>
      {told ? <Told told={told} now={now} /> : failureCount > 0 ? <OutageNotice what="" /> : <p className="py-2 text-soft">Loading…</p>}
    </section>
  );
}

export function Told({ told, now }: { readonly told: BackupsTold; readonly now: Date }) {
  const { good, failed } = told;
  const old = isOld(told, now);
  const Sign = old ? ShieldAlert : ShieldCheck;
  return (
    <div className="py-2">
      <p className={`flex items-center gap-2 text-lg ${old ? 'bg-outside-wash px-3 py-2 text-outside' : 'text-follows'}`}>
        <Sign aria-hidden className="size-5 shrink-0" />
        {good ? `Last good backup: ${since(good.madeAt, now)}` : 'No backup has been made yet.'}
      </p>
      {good && (
        <p className="pt-1 text-note text-soft">
          <span className="figures break-all">{good.file}</span>, {sizeOf(good.bytes)}. It was restored into a database of its own and found
          to be the same.
        </p>
      )}
      {failed && (
        <p role="alert" className="mt-2 bg-outside-wash px-3 py-2 text-outside">
          The last attempt, {since(failed.madeAt, now)}, failed: {failed.why} The records themselves are safe.
        </p>
      )}
      <p className="pt-1 text-note text-soft">
        With a database of its own, Ropewalk makes one every night, or as soon as it runs again. Make one at any time with{' '}
        <code className="figures">npm run backup</code>; <code className="figures">npm run restore</code> lists what can be restored. Keep a
        copy on another machine.
      </p>
    </div>
  );
}

function since(at: string, now: Date): string {
  const then = new Date(at);
  return now.getTime() - then.getTime() < 60_000 ? 'just now' : `${formatDistanceStrict(then, now)} ago`;
}

function sizeOf(bytes: number): string {
  return bytes < 1024 ** 2 ? `${Math.ceil(bytes / 1024)} kB` : `${(bytes / 1024 ** 2).toFixed(1)} MB`;
}
