import { type Frame, formatKnot, parseKnot } from '../../core/index.ts';
import { sayFrame, type View, viewLabels } from '../../drawing/geometry/view.ts';
import { Switch } from './Switch.tsx';
import { capital } from './words.ts';

interface MovesProps {
  /** Canonical moves. */
  readonly of: string;
  readonly frame: Frame;
  readonly className?: string;
}

/** A knot's moves as they are written in the view that was chosen. */
export function Moves({ of, frame, className = '' }: MovesProps) {
  return <span className={`figures ${className}`}>{formatKnot(parseKnot(of), frame)}</span>;
}

/** What the letters of the moves mean, and whose left and right they speak of. */
export function MovesKey({ frame, small = false }: { readonly frame: Frame; readonly small?: boolean }) {
  return (
    <p className="flex items-center gap-x-2 text-note leading-snug text-soft">
      {!small && <Crossing />}
      <span>
        {capital(sayFrame(frame))}. <b>L C R</b> left, centre, right; <b>i</b> toward the shirt, <b>o</b> away; <b>T</b> tuck.
      </span>
    </p>
  );
}

/** Where left, centre and right lie as one looks. Decorative: the words beside it say the same. */
function Crossing() {
  return (
    <svg viewBox="0 0 46 24" className="h-6 w-12 shrink-0" aria-hidden="true">
      <path d="M8 3 L23 12 L38 3" fill="none" stroke="var(--color-soft)" strokeWidth="3" />
      <path d="M23 12V22" stroke="var(--color-soft)" strokeWidth="3" />
      {(
        [
          ['L', 4, 19],
          ['C', 20, 7],
          ['R', 36, 19],
        ] as const
      ).map(([letter, x, y]) => (
        <text key={letter} x={x} y={y} fontSize="9" fontWeight="600" fill="var(--color-ink)">
          {letter}
        </text>
      ))}
    </svg>
  );
}

const viewChoices = (Object.keys(viewLabels) as View[]).map((key) => ({ key, label: viewLabels[key].name }));

/** Whose left and right everything speaks of. */
export function ViewSwitch({ frame, onView }: { readonly frame: Frame; readonly onView: (view: View) => void }) {
  return <Switch small label="View" value={frame.view} choices={viewChoices} onChange={onView} />;
}
