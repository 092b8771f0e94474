import { QueryClientProvider } from '@tanstack/react-query';
import { useState } from 'react';
import { createQueryClient } from '../records/queries.ts';
import { BringIn } from './BringIn.tsx';
import { TakeOut } from './TakeOut.tsx';

/** The studio's records on their way in and out, in files that other programs read. */
export default function InAndOut() {
  const [queries] = useState(createQueryClient);
  return (
    <QueryClientProvider client={queries}>
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[22rem_minmax(0,1fr)]">
        <TakeOut />
        <BringIn />
      </div>
    </QueryClientProvider>
  );
}
