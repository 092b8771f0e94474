/** How a person reads lengths. Everything inside is millimetres. */
export type LengthUnit = 'cm' | 'in';

/**
 * How finely a measure is read. `tape`: a millimetre, or an eighth of an inch. `fine`: tenths of a
 * millimetre, or an eighth of an inch. `thickness`: tenths of a millimetre in either unit, as
 * callipers have them. `stature`: as `tape`, in feet and inches.
 */
export type Fineness = 'tape' | 'fine' | 'thickness' | 'stature';

export const mmPerInch = 25.4;
const mmPerFoot = 12 * mmPerInch;
const eighths = ['', '1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'];

/** The name of the unit a measure is shown in. */
export function unitLabel(unit: LengthUnit, fineness: Fineness = 'tape'): string {
  if (fineness === 'thickness') return 'mm';
  if (unit === 'in') return fineness === 'stature' ? 'ft in' : 'in';
  return fineness === 'fine' ? 'mm' : 'cm';
}

/** A length without its unit: `41.5`, `16 3/8`; a stature in feet and inches carries its marks: `5′ 10″`. */
export function formatFigure(mm: number, unit: LengthUnit, fineness: Fineness = 'tape'): string {
  if (fineness === 'thickness' || (fineness === 'fine' && unit === 'cm')) return inTenths(Math.round(mm * 10));
  if (unit === 'cm') return inTenths(Math.round(mm));
  const total = Math.round((Math.abs(mm) / mmPerInch) * 8);
  if (fineness === 'stature') return `${Math.floor(total / 96)}′ ${inEighths(total % 96)}″`;
  return mm < 0 && total > 0 ? `−${inEighths(total)}` : inEighths(total);
}

/** A length with its unit, as a person says it: `41.5 cm`, `16 3/8 in`, `5′ 10″`. */
export function formatLength(mm: number, unit: LengthUnit, fineness: Fineness = 'tape'): string {
  const figure = formatFigure(mm, unit, fineness);
  return unit === 'in' && fineness === 'stature' ? figure : `${figure} ${unitLabel(unit, fineness)}`;
}

/** What a tape is read to beside an uncertainty of centimetres, mm: half a centimetre, or half an inch. */
const roughStepMm: Readonly<Record<LengthUnit, number>> = { cm: 5, in: mmPerInch / 2 };

/** The same length as coarsely as it is known where it may be centimetres off. */
export function roughly(mm: number, unit: LengthUnit): number {
  const step = roughStepMm[unit];
  return Math.round(mm / step) * step;
}

/** From one length to another, the unit said once: `40–46 cm`. */
export function formatSpan(fromMm: number, toMm: number, unit: LengthUnit, fineness: Fineness = 'tape'): string {
  const [from, to] = [formatFigure(fromMm, unit, fineness), formatLength(toMm, unit, fineness)];
  if (formatLength(fromMm, unit, fineness) === to) return to;
  return from.includes(' ') || to.split(' ').length > 2 ? `${from} – ${to}` : `${from}–${to}`;
}

function inEighths(total: number): string {
  const whole = Math.floor(total / 8);
  const part = eighths[total % 8] ?? '';
  return part ? (whole ? `${whole} ${part}` : part) : `${whole}`;
}

/** Without a zero after the point. */
function inTenths(tenths: number): string {
  return `${tenths < 0 ? '−' : ''}${Math.abs(tenths) / 10}`;
}

const fractionGlyphs: Readonly<Record<string, string>> = {
  '⅛': ' 1/8',
  '¼': ' 1/4',
  '⅜': ' 3/8',
  '½': ' 1/2',
  '⅝': ' 5/8',
  '¾': ' 3/4',
  '⅞': ' 7/8',
};

const inchMark = `inch(?:es)?|in|"|″|”|''|′′|’’`;
/** A fraction stands by itself, or after a whole number and a space or a hyphen: `11/16` is no `1 1/16`. */
const lengthText = new RegExp(
  String.raw`^([-−+])?\s*(?:(\d+)(?:[ ]+|-)(\d+)/(\d+)|(\d+)/(\d+)|(\d+(?:[.,]\d+)?|[.,]\d+))\s*(mm|cm|m|${inchMark})?$`,
  'i',
);
const feetText = /^(\d+)\s*(?:ft\.?|feet|foot|'|′|’)(?!['′’])\s*-?\s*(.*)$/i;
const inchesInFoot = 12;

const mmPer: Readonly<Record<string, number>> = { mm: 1, cm: 10, m: 1000 };

/**
 * Reads a length as people write it, in mm: `41.5`, `41,5 cm`, `415 mm`, `16 3/8`, `16⅜"`, `11/16`,
 * `5' 10"`, `5'-10"`. A figure without a unit is in the unit shown. `undefined` when it is not a length.
 */
export function parseLength(text: string, unit: LengthUnit, fineness: Fineness = 'tape'): number | undefined {
  const clean = text
    .trim()
    .replace(/[⅛¼⅜½⅝¾⅞]/g, (glyph) => fractionGlyphs[glyph] ?? glyph)
    .trim();
  const feet = feetText.exec(clean);
  if (feet) {
    const inches = feet[2] ? plainLength(feet[2], 'in') : 0;
    if (inches === undefined || inches < 0 || inches >= inchesInFoot * mmPerInch) return undefined;
    return Number(feet[1]) * mmPerFoot + inches;
  }
  return plainLength(clean, unitLabel(unit, fineness));
}

function plainLength(text: string, shown: string): number | undefined {
  const match = lengthText.exec(text);
  if (!match) return undefined;
  const [, sign, whole, wholeAbove, wholeBelow, above, below, decimal, suffix] = match;
  const [top, bottom] = [wholeAbove ?? above, wholeBelow ?? below];
  if (bottom !== undefined && Number(bottom) === 0) return undefined;
  const figure = Number((decimal ?? whole ?? '0').replace(',', '.')) + (top && bottom ? Number(top) / Number(bottom) : 0);
  const scale = mmPer[(suffix ?? shown).toLowerCase()] ?? mmPerInch;
  return (sign === '-' || sign === '−' ? -1 : 1) * figure * scale;
}
