import { TZDate, tz } from '@date-fns/tz';
import { format, isValid, parseISO } from 'date-fns';

/** Whether a text names a time zone, as `Europe/London`. */
export function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

/** Whether a text is a day there is, written as `YYYY-MM-DD`. */
export function isDay(text: string): boolean {
  return /^\d{4}-\d{2}-\d{2}$/.test(text) && !text.startsWith('0000') && isValid(parseISO(text));
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

/** A day where there is little room, from `YYYY-MM-DD`: `4 May 2026`, its month cut to three letters. */
export function sayDayShortly(day: string): string {
  return format(parseISO(day), 'd MMM yyyy');
}
