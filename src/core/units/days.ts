import { addDays, differenceInCalendarDays, format, parseISO } from 'date-fns';

/** A day so many days later, or earlier where `days` is negative; both as `YYYY-MM-DD`. */
export function daysAfter(day: string, days: number): string {
  return format(addDays(parseISO(day), days), 'yyyy-MM-dd');
}

/** How many days `later` comes after `day`; both as `YYYY-MM-DD`. */
export function daysBetween(day: string, later: string): number {
  return differenceInCalendarDays(parseISO(later), parseISO(day));
}
