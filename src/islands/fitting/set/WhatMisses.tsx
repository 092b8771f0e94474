import { frontDropOf } from '../../../core/body/frontDrop.ts';
import { calibrationOf } from '../../../core/fitbook/calibration.ts';
import type { KnotPlan, PlanRequest } from '../../../core/index.ts';
import { chanceInWords } from '../../../core/plan/chance.ts';
import { type LandingPart, landingParts, landingPartsOf } from '../../../core/plan/landing.ts';
import { formatLength } from '../../../core/units/length.ts';

interface WhatMissesProps {
  readonly plan: KnotPlan;
  readonly request: PlanRequest;
  /** Whether there was an attempt already. */
  readonly again: boolean;
}

/** Of what the landing band is made up, each part as long as it weighs: what a measure would narrow, and what stays. */
export function WhatMisses({ plan, request, again }: WhatMissesProps) {
  const parts = landingPartsOf(
    plan.properties.active === 'blade' ? plan.takeUpMm : 0,
    frontDropOf(request.client),
    calibrationOf(request.calibration, plan.moves),
  );
  const told = (Object.entries(parts) as [LandingPart, number][]).filter(([, sdMm]) => sdMm > 0).sort(([, a], [, b]) => b - a);
  const [[, most] = ['drop', 1]] = told;
  return (
    <details className="pt-1 text-note">
      <summary className="min-h-6 cursor-pointer text-set">
        {again ? 'Next' : 'First'} try {chanceInWords(plan.tip.inBandProbability)}: what the ±{formatLength(plan.tip.sdMm, request.units)}{' '}
        is made of
      </summary>
      <table className="w-full">
        <tbody>
          {told.map(([code, sdMm]) => (
            <tr key={code} className="border-b border-faint">
              <th scope="row" className="py-0.5 pr-2 text-left font-normal">
                {landingParts[code].label}
              </th>
              <td className="figures pr-2 text-right text-follows">±{formatLength(sdMm, request.units)}</td>
              <td className="w-2/5">
                <svg viewBox="0 0 100 8" preserveAspectRatio="none" className="h-2 w-full" aria-hidden="true">
                  <rect width={(100 * sdMm) / most} height="8" fill="var(--color-follows)" fillOpacity="0.5" />
                </svg>
              </td>
              <td className="pl-2 text-soft">{landingParts[code].narrowedBy}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
