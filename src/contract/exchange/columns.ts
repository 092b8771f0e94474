import { kindOf } from '../fields/fieldKinds.ts';
import { fieldsOf } from '../records/kinds/index.ts';
import type { Kind } from '../records/records.ts';
import { type Column, column, plain, readYes, yesOrNo } from './column.ts';

/** The columns of a kind's table, the same for writing and reading. */
export function columnsOf(kind: Kind): Column[] {
  return [
    column('id', 'id', 'identifier; empty for a new one', plain, (cell) => cell.trim().toLowerCase()),
    column('archived', 'archived', 'archived: yes or no', yesOrNo, readYes),
    ...fieldsOf(kind).flatMap(([key, field]) => kindOf(field).columns(inSnakeCase(key), key, field)),
  ];
}

function inSnakeCase(key: string): string {
  return key.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
}
