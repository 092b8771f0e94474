import { type ReactNode, Suspense, use } from 'react';

let lastTurn: Promise<unknown> = Promise.resolve();

/** Comes after every turn that was asked for before, and after whatever else there is to be answered by then. */
function nextTurn(): Promise<unknown> {
  // What goes on is drawn in the turn after: the one that follows must not come into it.
  lastTurn = lastTurn.then(() => new Promise((goOn) => setImmediate(setImmediate, goOn)));
  return lastTurn;
}

interface OwnTurnProps {
  readonly children: ReactNode;
}

/** A part of a page that takes a while to draw: on the server other requests are answered before it is begun. */
export function OwnTurn({ children }: OwnTurnProps) {
  return (
    <Suspense>
      <Waiting until={typeof window === 'undefined' ? nextTurn() : undefined}>{children}</Waiting>
    </Suspense>
  );
}

function Waiting({ until, children }: OwnTurnProps & { readonly until: Promise<unknown> | undefined }) {
  if (until) use(until);
  return children;
}
