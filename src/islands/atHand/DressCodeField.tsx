import { dressCodes } from '../../core/plan/dressCodes.ts';
import { SelectField } from '../ui/SelectField.tsx';

/** What the client is dressed for. */
export function DressCodeField() {
  return (
    <SelectField
      name="question.occasion.dressCode"
      label="Dress code"
      none="not said"
      choices={Object.entries(dressCodes).map(([code, { label }]) => [code, label.split(':')[0] ?? label])}
    />
  );
}
