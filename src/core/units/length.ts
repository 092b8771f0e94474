/** How a person reads lengths. Everything inside is millimetres. */
export type LengthUnit = 'cm' | 'in';

/** `fine` measures (a thickness) need more than a tape shows: millimetres, or decimal inches. */
export type Fineness = 'tape' | 'fine';

export const mmPerInch = 25.4;
const mmPerFoot = 12 * mmPerInch;
const eighths = ['', '1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'];

/** The name of the unit a measure is shown in. */
export function unitLabel(unit: LengthUnit, fineness: Fineness = 'tape'): string {
  return unit === 'in' ? 'in' : fineness === 'fine' ? 'mm' : 'cm';
}

/** A length without its unit: `41.5`, `16 3/8`. Tape measures round to a millimetre or an eighth of an inch. */
export function formatFigure(mm: number, unit: LengthUnit, fineness: Fineness = 'tape'): string {
  if (unit === 'cm') return fineness === 'fine' ? trimZero(mm.toFixed(1)) : trimZero((Math.round(mm) / 10).toFixed(1));
  if (fineness === 'fine') return trimZero((mm / mmPerInch).toFixed(3));
  const total = Math.round((Math.abs(mm) / mmPerInch) * 8);
  const whole = Math.floor(total / 8);
  const part = eighths[total % 8] ?? '';
  const figure = part ? (whole ? `${whole} ${part}` : part) : `${whole}`;
  return mm < 0 && total > 0 ? `−${figure}` : figure;
}

/** A length with its unit, as a person says it: `41.5 cm`, `16 3/8 in`. */
export function formatLength(mm: number, unit: LengthUnit, fineness: Fineness = 'tape'): string {
  return `${formatFigure(mm, unit, fineness)} ${unitLabel(unit, fineness)}`;
}

function trimZero(figure: string): string {
  const trimmed = figure.replace(/\.0+$|(\.\d*?[1-9])0+$/, '$1');
  return trimmed === '-0' ? '0' : trimmed.replace('-', '−');
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

const number = String.raw`\d+(?:[.,]\d+)?|[.,]\d+`;
const mixed = String.raw`(?:(${number})(?:[ ]+|-)?)?(?:(\d+)\s*/\s*(\d+))?`;
const lengthText = new RegExp(String.raw`^([-−+])?${mixed}\s*(mm|cm|m|inch(?:es)?|in|"|″|”)?$`, 'i');
const feetText = /^(\d+)\s*(?:ft|feet|'|′|’)\s*(.*)$/i;

const mmPer: Readonly<Record<string, number>> = { mm: 1, cm: 10, m: 1000 };

/**
 * Reads a length as people write it, in mm: `41.5`, `41,5 cm`, `415 mm`, `16 3/8`, `16⅜"`,
 * `5' 10"`. A figure without a unit is in the unit shown. `undefined` when it is not a length.
 */
export function parseLength(text: string, unit: LengthUnit, fineness: Fineness = 'tape'): number | undefined {
  const clean = text.trim().replace(/[⅛¼⅜½⅝¾⅞]/g, (glyph) => fractionGlyphs[glyph] ?? glyph);
  const feet = feetText.exec(clean);
  if (feet) {
    const rest = feet[2] ? parseLength(feet[2], 'in') : 0;
    return rest === undefined ? undefined : Number(feet[1]) * mmPerFoot + rest;
  }
  const match = lengthText.exec(clean);
  if (!match) return undefined;
  const [, sign, whole, above, below, suffix] = match;
  if (whole === undefined && above === undefined) return undefined;
  if (below !== undefined && Number(below) === 0) return undefined;
  const shown = unitLabel(unit, fineness);
  const scale = mmPer[(suffix ?? shown).toLowerCase()] ?? mmPerInch;
  const figure = Number((whole ?? '0').replace(',', '.')) + (above && below ? Number(above) / Number(below) : 0);
  return (sign === '-' || sign === '−' ? -1 : 1) * figure * scale;
}
