import Joi from 'joi';
import { identifier, oneOf, title } from '../atoms.ts';
import { type Checked, check } from '../check.ts';
import { isTimeZone } from '../days.ts';
import type { StudioRecord } from './records.ts';

const schema = Joi.object<StudioRecord>({
  id: identifier('The studio').required(),
  name: title('The studio’s name', 120),
  units: oneOf('The unit', ['cm', 'in']).required(),
  timeZone: Joi.string()
    .default('UTC')
    .custom((zone: string, helpers) => (isTimeZone(zone) ? zone : helpers.message({ custom: `“${zone}” is not a time zone.` }))),
}).required();

export function checkStudio(input: unknown): Checked<StudioRecord> {
  return check(schema, input);
}
