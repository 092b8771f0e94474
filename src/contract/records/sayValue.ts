import { takings } from '../../core/body/frontDrop.ts';
import { namedWord } from '../../core/knot/names.ts';
import { measures } from '../../core/measures/measures.ts';
import type { Say } from '../lengths.ts';
import type { Field } from './field.ts';
import type { TakenMeasure } from './records.ts';

const nothing = '—';

/** What stands in a field, in words; references are told by their title where `titleOf` knows it. */
export function sayValue(field: Field, value: unknown, say: Say, titleOf: (id: string) => string | undefined = () => undefined): string {
  if (value === null || value === undefined || value === '') {
    return field.kind === 'reference' || field.kind === 'choice' ? (field.optional ?? nothing) : nothing;
  }
  switch (field.kind) {
    case 'length':
      return typeof value === 'number' ? say(value, field.measure.fineness) : String(value);
    case 'buttons':
      return Array.isArray(value) ? value.map((mm) => say(Number(mm))).join(' · ') : String(value);
    case 'choice':
      return field.choices[String(value)]?.label ?? String(value);
    case 'choices':
      return listed(value, (code) => field.choices[code]?.label ?? code);
    case 'flag':
      return value === true ? 'yes' : 'no';
    case 'colours':
      return listed(value, (colour) => colour);
    case 'shares':
      return listed(value, (share) => `${share} %`);
    case 'reference':
      return titleOf(String(value)) ?? 'another one';
    case 'knot':
      return namedWord(String(value))?.names[0] ?? String(value);
    case 'measures':
      return Array.isArray(value) ? (value as TakenMeasure[]).map((taken) => sayTaken(taken, say)).join('; ') || nothing : nothing;
    case 'profile':
      return Array.isArray(value) && value.length > 0
        ? (value as { atMm: number; widthMm: number }[]).map(({ atMm, widthMm }) => `${say(widthMm)} at ${say(atMm)}`).join(', ')
        : nothing;
    case 'text':
    case 'colour':
      return String(value);
  }
}

function listed(value: unknown, word: (each: string) => string): string {
  return Array.isArray(value) && value.length > 0 ? value.map((each) => word(String(each))).join(', ') : nothing;
}

/** One taking: what, how much, how and when. */
export function sayTaken({ measure, mm, how, takenOn }: TakenMeasure, say: Say): string {
  return `${measures.client[measure].label} ${typeof mm === 'number' ? say(mm) : mm} ${takings[how].label}, ${takenOn}`;
}
