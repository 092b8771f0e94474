import type { PlanRequest } from '../../../core/index.ts';
import type { ToldStart } from '../../../core/start/ways.ts';
import { formatLength, type LengthUnit, roughly } from '../../../core/units/length.ts';
import { beside } from './beside.ts';

/** A finger's breadth at the first joint, mm. */
const fingerMm = 19;
const mostFingers = 4;
const numbers = ['', 'a finger', 'two fingers', 'three fingers', 'four fingers'];

/** One start as a person says it: `tail tip two fingers above the navel (about 4 cm)`. */
export function startInWords({ way, end, mm, landmark }: ToldStart, units: LengthUnit): string {
  const say = (lengthMm: number) => formatLength(roughly(lengthMm, units), units);
  switch (way) {
    case 'below':
      return `${end} tip ${say(mm)} below the collar button`;
    case 'button':
    case 'fingertip':
      return landmark ? `${end} tip ${beside({ ...landmark, offsetMm: mm }, units)}` : '';
    case 'body':
      return landmark ? `${end} tip ${inFingers(landmark.name, mm, units)}` : '';
    case 'difference':
      return roughly(mm, units) === 0
        ? 'both tips level'
        : `blade tip ${say(Math.abs(mm))} ${mm > 0 ? 'lower' : 'higher'} than the tail tip`;
    case 'mark':
      return `fold the ${end} ${say(mm)} from its tip; the fold sits at the collar button`;
  }
}

function inFingers(name: string, mm: number, units: LengthUnit): string {
  const fingers = Math.round(Math.abs(mm) / fingerMm);
  const place = mm > 0 ? 'below' : 'above';
  if (fingers === 0) return `about level with the ${name}`;
  const about = `about ${formatLength(roughly(Math.abs(mm), units), units)}`;
  return fingers > mostFingers ? `${about} ${place} the ${name}` : `${numbers[fingers]} ${place} the ${name} (${about})`;
}

/** Where a tip is seen against the belt: `1.5 cm above the belt top`. */
export function againstBelt(mm: number, units: PlanRequest['units']): string {
  const off = formatLength(Math.abs(mm), units);
  return Math.round(mm) === 0 ? 'level with the belt top' : `${off} ${mm > 0 ? 'below' : 'above'} the belt top`;
}

/** How far one place lies from another down the front: `1.5 cm lower`. */
export function lowerOrHigher(mm: number, units: LengthUnit): string {
  return Math.round(mm) === 0 ? 'where it was' : `${formatLength(Math.abs(mm), units)} ${mm > 0 ? 'lower' : 'higher'}`;
}
