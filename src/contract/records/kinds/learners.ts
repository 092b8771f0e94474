import { learnerKinds, practiceGoals } from '../../../core/practice/parts.ts';
import { type KindOf, line, nameField, noteField } from './kindOf.ts';

/** Whoever learns to tie here: pupils, clients, staff. */
export const learners: KindOf<'learners'> = {
  fields: {
    label: nameField,
    who: { kind: 'choice', label: 'Is a', choices: learnerKinds },
    clientId: { kind: 'reference', label: 'Client', to: 'clients', optional: 'not a client' },
    class: line('Class or group'),
    child: { kind: 'flag', label: 'A child: fewer words, larger pictures' },
    goal: { kind: 'choice', label: 'Goal', choices: practiceGoals, optional: 'none set' },
    note: noteField,
  },
  fresh: { label: '', who: 'pupil', clientId: null, class: '', child: false, goal: null, note: '' },
};
