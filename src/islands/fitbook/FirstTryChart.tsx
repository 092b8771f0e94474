import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { sayMonth } from '../../contract/days.ts';
import type { Month } from '../../core/fitbook/overview.ts';

/** Of a hundred first tries, how many ended within tolerance, month by month; the table below says the same. */
export function FirstTryChart({ months }: { readonly months: readonly Month[] }) {
  const points = months.map(({ month, within, tyings }) => ({
    month: sayMonth(month),
    percent: Math.round((100 * within) / tyings),
    tyings,
  }));
  return (
    <figure
      className="h-full"
      aria-label={`First tries within tolerance: ${points.map(({ month, percent }) => `${month} ${percent}%`).join('; ')}`}
    >
      <div aria-hidden="true" className="h-full">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={points} margin={{ top: 8, right: 12, bottom: 4, left: 0 }} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--color-faint)" vertical={false} />
            <XAxis dataKey="month" stroke="var(--color-soft)" tickLine={false} />
            <YAxis stroke="var(--color-soft)" tickLine={false} width={56} domain={[0, 100]} unit="%" />
            <Tooltip formatter={(value) => `${value}%`} />
            <Line
              dataKey="percent"
              name="within tolerance"
              stroke="var(--color-follows)"
              strokeWidth={2}
              isAnimationActive={false}
              dot={{ r: 4.5 }}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}
