import { ButtonsField } from '../../../ui/ButtonsField.tsx';
import { useRecord } from '../useRecord.ts';

export function ButtonsEntry({ name }: { readonly name: string }) {
  return <ButtonsField name={name} units={useRecord().units} />;
}
