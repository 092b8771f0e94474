import { QueryClientProvider } from '@tanstack/react-query';
import { useState } from 'react';
import { createQueryClient } from '../wire/queries.ts';
import { Export } from './Export.tsx';
import { Import } from './Import.tsx';

/** The studio's records on their way in and out, in files that other programs read. */
export function ImportExportPage() {
  const [queries] = useState(createQueryClient);
  return (
    <QueryClientProvider client={queries}>
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[22rem_minmax(0,1fr)]">
        <Export />
        <Import />
      </div>
    </QueryClientProvider>
  );
}
