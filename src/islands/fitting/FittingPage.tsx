import { useQuery } from '@tanstack/react-query';
import type { Given } from '../../contract/given.ts';
import { AtHandProvider } from '../atHand/AtHandProvider.tsx';
import { Link } from '../ui/Button.tsx';
import { Loading } from '../ui/Loading.tsx';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { fittingQuery } from '../wire/queries.ts';
import { WithGiven } from '../wire/WithGiven.tsx';
import { FittingTable } from './FittingTable.tsx';
import { type StageCode, stageIn } from './stages.ts';

interface FittingPageProps {
  readonly given: Given;
  /** What the page's address says of the fitting. */
  readonly address?: string;
  /** A saved fitting; a new one without it. */
  readonly fittingId?: string;
}

/** A fitting: a new one, or one that was saved. */
export function FittingPage({ given, address, fittingId }: FittingPageProps) {
  return (
    <WithGiven given={given}>
      {fittingId ? (
        <SavedFitting id={fittingId} begin={stageIn(new URLSearchParams(address))} />
      ) : (
        <AtHandProvider address={address}>
          <FittingTable begin={stageIn(new URLSearchParams(address))} />
        </AtHandProvider>
      )}
    </WithGiven>
  );
}

function SavedFitting({ id, begin }: { readonly id: string; readonly begin: StageCode }) {
  const { data, error, failureCount } = useQuery(fittingQuery(id));
  if (data) {
    return (
      <AtHandProvider opened={data}>
        <FittingTable begin={begin} />
      </AtHandProvider>
    );
  }
  if (!error)
    return (
      <div className="p-8">{failureCount > 0 ? <OutageNotice what="The fitting opens as soon as they are back." /> : <Loading />}</div>
    );
  return (
    <div className="p-8 text-xl">
      <p>{error.message}</p>
      <p className="flex gap-4 pt-3">
        <Link href="/fittings">Fit book</Link>
        <Link href="/">New fitting</Link>
      </p>
    </div>
  );
}
