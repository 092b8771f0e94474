import { useCallback, useEffect, useState } from 'react';

/** The four stages of a fitting, in the order of the hand's work. */
export const stages = ['choose', 'set', 'tie', 'check'] as const;
export type StageCode = (typeof stages)[number];

export const stageLabels: Readonly<Record<StageCode, string>> = { choose: 'Choose', set: 'Set', tie: 'Tie', check: 'Check' };

/** The stage an address speaks of; a fitting begins with the choice. */
export function stageIn(query: URLSearchParams): StageCode {
  return stages.find((each) => each === query.get('stage')) ?? 'choose';
}

/**
 * The stage a fitting is at. It stands in the address, and each is a place of its own to go back to; `settle` is called
 * before one is left, so that what was changed last stands in its address.
 */
export function useStage(initial: StageCode, settle: () => void): [stage: StageCode, go: (to: StageCode) => void] {
  const [stage, setStage] = useState(initial);
  useEffect(() => {
    const follow = () => setStage(stageIn(new URLSearchParams(location.search)));
    addEventListener('popstate', follow);
    return () => removeEventListener('popstate', follow);
  }, []);
  const go = useCallback(
    (to: StageCode) => {
      if (to === stage) return;
      settle();
      const query = new URLSearchParams(location.search);
      query.set('stage', to);
      history.pushState(null, '', `?${query}`);
      setStage(to);
    },
    [stage, settle],
  );
  return [stage, go];
}
