import type { Fault } from '../core/measures/faults.ts';
import type { LengthUnit } from '../core/units/length.ts';
import type { Checked } from './check.ts';
import { checkRecord } from './records/checkRecord.ts';
import type { ClientRecord, JacketRecord, ShirtRecord } from './records/records.ts';

/** A new client as they come through the door: what they are called, their first measures, and what they wear. */
export interface WalkIn {
  readonly client: ClientRecord;
  readonly shirt: ShirtRecord | null;
  readonly jacket: JacketRecord | null;
}

/** Checks a new client with their pieces, every fault at once. The pieces must be theirs. */
export function checkWalkIn(input: unknown, units: LengthUnit): Checked<WalkIn> {
  const parts = (typeof input === 'object' && input !== null ? input : {}) as Readonly<Record<string, unknown>>;
  const faults: Fault[] = [];
  const part = <K extends 'clients' | 'shirts' | 'jackets'>(kind: K, name: string) => {
    const checked = checkRecord(kind, parts[name], units);
    faults.push(...(checked.faults ?? []).map(({ path, message }) => ({ path: path ? `${name}.${path}` : name, message })));
    return checked.value;
  };
  const client = part('clients', 'client');
  const shirt = parts['shirt'] == null ? null : part('shirts', 'shirt');
  const jacket = parts['jacket'] == null ? null : part('jackets', 'jacket');
  for (const [name, piece] of [
    ['shirt', shirt],
    ['jacket', jacket],
  ] as const) {
    if (client && piece && piece.clientId !== client.id)
      faults.push({ path: `${name}.clientId`, message: `The ${name} must belong to the new client.` });
  }
  return client && shirt !== undefined && jacket !== undefined && faults.length === 0 ? { value: { client, shirt, jacket } } : { faults };
}
