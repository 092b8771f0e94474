import { TZDate, tz } from '@date-fns/tz';
import { format, parseISO } from 'date-fns';

/** Whether a text names a time zone, as `Europe/London`. */
export function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

/** The day that an instant (ISO 8601, or now) falls on in a zone, as `YYYY-MM-DD`. */
export function dayIn(zone: string, instant: string | Date = new Date()): string {
  return format(new TZDate(typeof instant === 'string' ? parseISO(instant) : instant, zone), 'yyyy-MM-dd');
}

/** A month as people write it, from `YYYY-MM`: `May 2026`. */
export function sayMonth(month: string): string {
  return format(parseISO(`${month}-01`), 'MMM yyyy');
}

/** A day as people write it, from `YYYY-MM-DD` or, in the studio's zone, from an instant: `4 May 2026`. */
export function sayDay(day: string, zone: string): string {
  return day.length === 10 ? format(parseISO(day), 'd MMMM yyyy') : format(parseISO(day, { in: tz(zone) }), 'd MMMM yyyy');
}
