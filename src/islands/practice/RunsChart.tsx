import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { RehearsalRecord } from '../../contract/records/records.ts';
import { practiceParts } from '../../core/practice/parts.ts';
import { totalOf } from '../../core/practice/progress.ts';
import { inSeconds } from './inSeconds.ts';

/** How long each run took, one after the other; a run that was not clean is an empty ring. The table beside it says the same. */
export function RunsChart({ runs, goalS }: { readonly runs: readonly RehearsalRecord[]; readonly goalS: number | null }) {
  const points = runs.map((run, i) => ({ run: i + 1, s: totalOf(run), of: run }));
  return (
    <figure aria-label={`Seconds a run: ${points.map(({ s, of }) => `${inSeconds(s)}${of.clean ? '' : ', not clean'}`).join('; ')}`}>
      <div aria-hidden="true" className="h-44">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={points} margin={{ top: 8, right: 12, bottom: 4, left: 0 }} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--color-faint)" vertical={false} />
            <XAxis dataKey="run" stroke="var(--color-soft)" tickLine={false} allowDecimals={false} />
            <YAxis stroke="var(--color-soft)" tickLine={false} width={40} domain={[0, 'auto']} />
            {goalS !== null && (
              <ReferenceLine
                y={goalS}
                stroke="var(--color-set)"
                strokeDasharray="5 4"
                label={{ value: 'goal', fill: 'var(--color-set)', position: 'insideTopRight' }}
              />
            )}
            <Tooltip
              formatter={(value) => inSeconds(Number(value))}
              labelFormatter={(label) => {
                const point = points[Number(label) - 1];
                return point ? `Run ${label}, ${practiceParts[point.of.part].label}${point.of.clean ? '' : ', not clean'}` : '';
              }}
            />
            <Line
              dataKey="s"
              name="in all"
              stroke="var(--color-follows)"
              strokeWidth={2}
              isAnimationActive={false}
              dot={({ cx, cy, index }: { cx?: number; cy?: number; index?: number }) => (
                <circle
                  key={index}
                  cx={cx}
                  cy={cy}
                  r={4.5}
                  stroke="var(--color-follows)"
                  strokeWidth={2}
                  fill={points[index ?? 0]?.of.clean ? 'var(--color-follows)' : 'var(--color-ground)'}
                />
              )}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="text-note text-soft">Seconds a run, the first run first. Filled: clean.</figcaption>
    </figure>
  );
}
