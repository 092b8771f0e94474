import { useState } from 'react';
import type { LengthUnit } from '../../../core/units/length.ts';
import { PlainLength } from '../../ui/PlainLength.tsx';
import { Switch } from '../../ui/Switch.tsx';
import { seenRangeMm } from './TipHandle.tsx';

interface SeenFieldProps {
  readonly label: string;
  /** Against the belt top, lower is positive; `undefined` before anything was seen. */
  readonly mm: number | undefined;
  readonly expectedMm: number;
  readonly units: LengthUnit;
  readonly onChange: (mm: number | undefined) => void;
}

type Side = 'above' | 'below';

/** Where a tip is seen against the belt top: how far, and above or below. */
export function SeenField({ label, mm, expectedMm, units, onChange }: SeenFieldProps) {
  const [chosen, setChosen] = useState<Side>();
  const lies = (off: number): Side => (off > 0 ? 'below' : 'above');
  const side = mm ? lies(mm) : (chosen ?? lies(expectedMm));
  const put = (far: number | undefined, to: Side) => onChange(far === undefined ? undefined : to === 'below' ? far : -far);
  return (
    <div className="flex flex-wrap items-center gap-x-3 text-lg">
      <PlainLength
        label={label}
        mm={mm === undefined ? undefined : Math.abs(mm)}
        expectedMm={Math.abs(expectedMm)}
        minMm={0}
        maxMm={seenRangeMm.max}
        units={units}
        onChange={(far) => put(far, side)}
      />
      <Switch
        label={`${label}: above or below the belt top`}
        value={side}
        choices={[
          { key: 'above', label: 'above the belt top' },
          { key: 'below', label: 'below it' },
        ]}
        onChange={(to) => {
          setChosen(to);
          put(mm === undefined ? undefined : Math.abs(mm), to);
        }}
      />
    </div>
  );
}
