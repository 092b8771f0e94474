import { sayDay } from '../../contract/days.ts';
import { type ClientRecord, type TakenMeasure, takenCodes } from '../../contract/records/records.ts';
import { takings } from '../../core/body/frontDrop.ts';
import { measures } from '../../core/measures/measures.ts';
import { formatLength, type LengthUnit } from '../../core/units/length.ts';

interface MeasuresOverTimeProps {
  readonly client: ClientRecord;
  readonly units: LengthUnit;
}

/** What was measured of a client, a row a day: the latest of each counts, and what changed is told. */
export function MeasuresOverTime({ client, units }: MeasuresOverTimeProps) {
  const days = [...new Set(client.measures.map(({ takenOn }) => takenOn))].sort().reverse();
  const taken = takenCodes.filter((code) => client.measures.some(({ measure }) => measure === code));
  if (days.length === 0) return null;
  const on = (day: string, code: string) => client.measures.find(({ takenOn, measure }) => takenOn === day && measure === code);
  const before = (day: string, code: string) =>
    client.measures
      .filter(({ takenOn, measure }) => measure === code && takenOn < day)
      .toSorted((a, b) => b.takenOn.localeCompare(a.takenOn))[0];
  return (
    <section aria-label="Measures over time" className="pb-4">
      <h2 className="border-b-2 border-ink text-xl font-medium">Measures</h2>
      <div className="overflow-x-auto">
        <table className="text-left">
          <thead>
            <tr className="border-b border-line text-note text-soft">
              <th className="py-1 pr-4 font-normal">Day</th>
              {taken.map((code) => (
                <th key={code} className="pr-4 font-normal">
                  {measures.client[code].label}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {days.map((day) => (
              <tr key={day} className="border-b border-faint align-baseline">
                <th scope="row" className="py-1 pr-4 font-normal whitespace-nowrap">
                  {sayDay(day, 'UTC')}
                </th>
                {taken.map((code) => (
                  <td key={code} className="pr-4">
                    <Taken taken={on(day, code)} before={before(day, code)} units={units} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

interface TakenProps {
  readonly taken: TakenMeasure | undefined;
  readonly before: TakenMeasure | undefined;
  readonly units: LengthUnit;
}

/** What was measured that day, how, and by how much it differs from the time before. */
function Taken({ taken, before, units }: TakenProps) {
  if (!taken) return null;
  const { fineness } = measures.client[taken.measure] as { readonly fineness?: 'stature' };
  const changed = before ? taken.mm - before.mm : 0;
  return (
    <>
      <span className="figures text-lg text-set">{formatLength(taken.mm, units, fineness)}</span>
      <span className="block text-note text-soft">
        {takings[taken.how].label}
        {Math.abs(changed) >= 1 && `, ${formatLength(Math.abs(changed), units)} ${changed > 0 ? 'more' : 'less'}`}
      </span>
    </>
  );
}
