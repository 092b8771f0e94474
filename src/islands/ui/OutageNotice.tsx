import { Unplug } from 'lucide-react';

/** Told wherever records are missing because they can't be reached: never shown as an empty list. */
export function OutageNotice({ what }: { readonly what: string }) {
  return (
    <p role="alert" className="flex items-center gap-3 bg-outside-wash px-4 py-3 text-outside">
      <Unplug aria-hidden className="size-5 shrink-0" />
      The studio’s records can’t be reached. Still trying. {what}
    </p>
  );
}
