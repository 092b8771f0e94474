import { QueryClientProvider, useQuery } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import type { Wardrobe } from '../../contract/records/records.ts';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { createQueryClient, wardrobeQuery } from '../wire/queries.ts';

interface WithWardrobeProps {
  /** What is said while the records are fetched. */
  readonly waiting: string;
  /** What will happen once records that are out of reach are back. */
  readonly whenBack: string;
  /** Whose wardrobe; the client fitted last unless said. */
  readonly clientId?: string | null;
  readonly children: (wardrobe: Wardrobe) => ReactNode;
}

/** A view of the studio's records: fetched, waited for while out of reach, and never shown as empty instead. */
export function WithWardrobe(props: WithWardrobeProps) {
  const [queries] = useState(createQueryClient);
  return (
    <QueryClientProvider client={queries}>
      <Fetched {...props} />
    </QueryClientProvider>
  );
}

function Fetched({ waiting, whenBack, clientId, children }: WithWardrobeProps) {
  const wardrobe = useQuery(wardrobeQuery(clientId));
  if (wardrobe.data) return children(wardrobe.data);
  if (wardrobe.isError) return <p className="py-6 text-xl">{wardrobe.error.message}</p>;
  if (wardrobe.failureCount > 0) return <OutageNotice what={whenBack} />;
  return <p className="py-6 text-xl text-soft">{waiting}</p>;
}
