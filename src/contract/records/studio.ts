import Joi from 'joi';
import { identifier, oneOf, title } from '../atoms.ts';
import { type Checked, check } from '../check.ts';
import type { StudioRecord } from './records.ts';

const schema = Joi.object<StudioRecord>({
  id: identifier('The studio').required(),
  name: title('The studio’s name', 120),
  units: oneOf('The unit', ['cm', 'in']).required(),
}).required();

export function checkStudio(input: unknown): Checked<StudioRecord> {
  return check(schema, input);
}
