import { QueryClientProvider } from '@tanstack/react-query';
import { type ReactNode, useEffect, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { answerKeys } from '../../contract/answerKeys.ts';
import type { Answers, Given } from '../../contract/given.ts';
import { keptSince } from '../device/offline.ts';
import { PreferencesProvider } from '../device/preferences.tsx';
import { followChanges } from './changes.ts';
import { createQueryClient } from './queries.ts';

/** What every page stands in: the server's answers as far as they were given along, and what this device prefers. */
export function WithGiven({ given, children }: { readonly given: Given; readonly children: ReactNode }) {
  const [queries] = useState(() => {
    const client = createQueryClient();
    for (const answers of [given.people, given.answers])
      for (const [key, answer] of JSON.parse(answers) as Answers) client.setQueryData(key, answer);
    if (given.studio) client.setQueryData(answerKeys.studio(), given.studio);
    return client;
  });
  // Gone back to, or shown as the device kept it, a page stands as it was left, or as it was first sent: what was changed elsewhere meanwhile is asked for.
  useEffect(() => {
    const anew = () => void queries.invalidateQueries();
    const isBack = (performance.getEntriesByType('navigation') as PerformanceNavigationTiming[]).some(
      ({ type }) => type === 'back_forward',
    );
    if (isBack || keptSince() !== undefined) anew();
    const shown = ({ persisted }: PageTransitionEvent) => {
      if (persisted) anew();
    };
    addEventListener('pageshow', shown);
    return () => removeEventListener('pageshow', shown);
  }, [queries]);
  useEffect(() => followChanges(queries), [queries]);
  return (
    <PreferencesProvider initial={given.preferences}>
      <QueryClientProvider client={queries}>
        <ErrorBoundary FallbackComponent={Broken}>{children}</ErrorBoundary>
      </QueryClientProvider>
    </PreferencesProvider>
  );
}

/** Something on the page went wrong: what is safe, and the ways on. */
function Broken() {
  return (
    <div role="alert" className="space-y-3 p-8 text-xl">
      <p>
        This page can’t be shown: something in it went wrong. Nothing on record was changed, and what you entered is kept in this window.
      </p>
      <p className="flex flex-wrap gap-4">
        <a className="text-set underline" href={location.href}>
          Load it again
        </a>
        <a className="text-set underline" href="/fittings">
          Fit book
        </a>
        <a className="text-set underline" href="/">
          New fitting
        </a>
      </p>
    </div>
  );
}
