import { dealings } from '../../../core/care/dealings.ts';
import { type KindOf, nameField, noteField } from './kindOf.ts';

/** What happened to a tie, from a day on and until it was over. */
export const cares: KindOf<'cares'> = {
  fields: {
    label: nameField,
    tieId: { kind: 'reference', label: 'Tie', to: 'ties' },
    what: { kind: 'choice', label: 'What happened', choices: dealings },
    clientId: { kind: 'reference', label: 'Who wore it, or has it', to: 'clients', optional: 'nobody named' },
    fromOn: { kind: 'day', label: 'From' },
    untilOn: { kind: 'day', label: 'Back, or undone', optional: 'not yet' },
    note: noteField,
  },
  together: ({ fromOn, untilOn }) =>
    fromOn && untilOn && untilOn < fromOn ? [{ path: 'untilOn', message: 'Back, or undone: not before the day it began.' }] : [],
  fresh: { label: '', tieId: '', what: 'worn', clientId: null, fromOn: '', untilOn: null, note: '' },
};
