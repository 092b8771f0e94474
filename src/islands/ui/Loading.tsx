/** Said while something comes; `what` where it is not the page itself. */
export function Loading({ what }: { readonly what?: string }) {
  return <p className="py-6 text-xl text-soft">Loading{what ? ` ${what}` : ''}…</p>;
}
