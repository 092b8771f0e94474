import type { Given } from '../../contract/given.ts';
import { WithGiven } from '../wire/WithGiven.tsx';
import { Backups } from './Backups.tsx';
import { Export } from './Export.tsx';
import { Import } from './Import.tsx';

/** The studio's records on their way in and out, in files that other programs read. */
export function ImportExportPage({ given }: { readonly given: Given }) {
  return (
    <WithGiven given={given}>
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[22rem_minmax(0,1fr)]">
        <div className="grid content-start gap-y-8">
          <Backups />
          <Export />
        </div>
        <Import />
      </div>
    </WithGiven>
  );
}
