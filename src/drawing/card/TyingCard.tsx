import { type CardFormat, cardFormats } from './formats.ts';
import { wrapped } from './wrapped.ts';

export interface CardStep {
  /** In shorthand, or the name of the step. */
  readonly mark: string;
  readonly whole: string;
  readonly short: string;
  /** The picture, where it is painted already. */
  readonly href: string | undefined;
}

export interface CardSaid {
  readonly title: string;
  readonly who: string;
  readonly start: string;
  readonly aim: string;
  /** The moves, and whose left and right they speak of. */
  readonly moves: string;
  readonly steps: readonly CardStep[];
  /** Finish, dimple, undoing, storage: each a line of its own. */
  readonly lines: readonly string[];
  readonly caution: string;
}

const marginMm = 7;
const leading = 1.28;
/** A painted step is so much as high as it is wide. */
export const stepAspect = 1;

/** A card to take home: every step in a picture, and what to do around them. Drawn in mm, in ink alone. */
export function TyingCard({ format, said }: { readonly format: CardFormat; readonly said: CardSaid }) {
  const { widthMm, heightMm, columns, words, textMm, titleMm } = cardFormats[format];
  const { title, who, start, aim, moves, steps, lines, caution } = said;
  const across = columns === 0 ? steps.length : columns;
  const inner = widthMm - 2 * marginMm;
  const cellMm = inner / across;
  const rowMm = textMm * leading;
  let y = marginMm + titleMm;
  const head = [...wrapped(start, inner, textMm * 1.15), ...wrapped(aim, inner, textMm * 1.15)];
  const headY = y + textMm * 1.7;
  y = headY + head.length * rowMm * 1.15 + rowMm * 0.4;
  const movesY = y;
  y += rowMm * 0.6;
  const told = steps.map((step) => wrapped(words === 'whole' ? step.whole : step.short, cellMm - 2, textMm));
  const rows = Math.ceil(steps.length / across);
  const textRows = Array.from({ length: rows }, (_, row) =>
    Math.max(...told.slice(row * across, (row + 1) * across).map(({ length }) => length)),
  );
  const foot = [...lines.flatMap((line) => wrapped(line, inner, textMm)), ...wrapped(caution, inner, textMm)];
  const footMm = foot.length * rowMm + rowMm;
  const textsMm = textRows.reduce((sum, count) => sum + (count + 1.3) * rowMm, 0);
  const pictureMm = Math.max(8, Math.min((cellMm - 2) * stepAspect, (heightMm - marginMm - y - footMm - textsMm) / rows));
  const cells = steps.map((step, i) => {
    const row = Math.floor(i / across);
    const before = textRows.slice(0, row).reduce((sum, count) => sum + (count + 1.3) * rowMm + pictureMm, 0);
    return { step, text: told[i] ?? [], x: marginMm + (i % across) * cellMm, y: y + before };
  });
  const cautionLines = wrapped(caution, inner, textMm).length;
  return (
    <svg
      viewBox={`0 0 ${widthMm} ${heightMm}`}
      role="img"
      aria-label={`Card: ${title}. ${start} ${steps.map(({ mark, whole }) => `${mark}: ${whole}`).join(' ')}`}
      fill="#000"
      className="w-full bg-[#fff]"
    >
      <rect width={widthMm} height={heightMm} fill="#fff" />
      <text x={marginMm} y={marginMm + titleMm * 0.75} fontSize={titleMm} fontWeight="650">
        {title}
      </text>
      <text x={widthMm - marginMm} y={marginMm + titleMm * 0.75} fontSize={textMm} textAnchor="end">
        {who}
      </text>
      <Lines at={[marginMm, headY]} lines={head} sizeMm={textMm * 1.15} />
      <text x={marginMm} y={movesY} fontSize={textMm} fontWeight="600">
        {moves}
      </text>
      {cells.map(({ step, text, x, y: top }) => (
        <g key={`${step.mark} ${x} ${top}`}>
          <text x={x} y={top + rowMm} fontSize={textMm} fontWeight="650">
            {step.mark}
          </text>
          {step.href ? (
            <image href={step.href} x={x} y={top + rowMm * 1.2} width={cellMm - 2} height={pictureMm} preserveAspectRatio="xMidYMin meet" />
          ) : (
            <rect x={x} y={top + rowMm * 1.2} width={cellMm - 3} height={pictureMm} fill="none" stroke="#999" strokeWidth={0.2} />
          )}
          <Lines at={[x, top + rowMm * 2.1 + pictureMm]} lines={text} sizeMm={textMm} />
        </g>
      ))}
      <Lines
        at={[marginMm, heightMm - marginMm - (foot.length - 1) * rowMm]}
        lines={foot}
        sizeMm={textMm}
        boldFrom={foot.length - cautionLines}
      />
    </svg>
  );
}

interface LinesProps {
  readonly at: readonly [x: number, y: number];
  readonly lines: readonly string[];
  readonly sizeMm: number;
  readonly boldFrom?: number;
}

function Lines({ at: [x, y], lines, sizeMm, boldFrom = Number.POSITIVE_INFINITY }: LinesProps) {
  return (
    <text fontSize={sizeMm}>
      {lines.map((line, i) => (
        <tspan key={i} x={x} y={y + i * sizeMm * leading} fontWeight={i >= boldFrom ? 600 : 400}>
          {line}
        </tspan>
      ))}
    </text>
  );
}
