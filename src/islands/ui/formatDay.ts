const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });

/** A date as people write it, from ISO 8601. */
export function formatDay(iso: string): string {
  return day.format(new Date(iso));
}
