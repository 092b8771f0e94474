import type { Standing } from '../core/care/standing.ts';
import { sayDay } from './days.ts';

/** Where a tie stands, in words that follow its name: `ready`, `resting, ready on 4 May 2026`; without who has it. */
export function sayStanding({ code, since, until }: Standing, day = (of: string) => sayDay(of, 'UTC')): string {
  const back = until === null ? '' : `, back on ${day(until)}`;
  switch (code) {
    case 'ready':
      return 'ready';
    case 'worn':
    case 'resting':
      return `${code === 'worn' ? 'worn that day' : 'resting'}${until === null ? '' : `, ready on ${day(until)}`}`;
    case 'looped':
      return `kept looped since ${day(since ?? '')}`;
    case 'lent':
      return `lent since ${day(since ?? '')}${back}`;
    case 'repair':
      return `in repair since ${day(since ?? '')}${back}`;
    case 'aside':
      return `laid aside since ${day(since ?? '')}${back}`;
  }
}
