import { QueryClientProvider } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { answerKeys } from '../../contract/answerKeys.ts';
import type { Given } from '../../contract/given.ts';
import { PreferencesProvider } from '../device/preferences.tsx';
import { createQueryClient } from './queries.ts';

/** What every page stands in: the server's answers as far as they were given along, and what this device prefers. */
export function WithGiven({ given, children }: { readonly given: Given; readonly children: ReactNode }) {
  const [queries] = useState(() => {
    const client = createQueryClient();
    for (const [key, answer] of given.answers) client.setQueryData(key, answer);
    if (given.studio) client.setQueryData(answerKeys.studio(), given.studio);
    return client;
  });
  return (
    <PreferencesProvider initial={given.preferences}>
      <QueryClientProvider client={queries}>{children}</QueryClientProvider>
    </PreferencesProvider>
  );
}
