import { findings, leans, verdicts } from '../../../core/fitbook/findings.ts';
import { figureNames, sources } from '../../../core/fitbook/tying.ts';
import { measures } from '../../../core/measures/measures.ts';
import { dressing } from '../../../core/plan/habits.ts';
import { tiedOn } from '../../../core/start/tiedOn.ts';
import { type KindOf, nameField, noteField } from './kindOf.ts';

const ends = { tail: { label: 'tail' }, blade: { label: 'blade' } } as const;

/** A tying whose outcome is known: what was set, where it ended, how it looked, and what was thought of it. */
export const tyings: KindOf<'tyings'> = {
  fields: {
    label: nameField,
    source: { kind: 'choice', label: 'What it was', choices: sources },
    clientId: { kind: 'reference', label: 'Client', to: 'clients', optional: 'no client' },
    tieId: { kind: 'reference', label: 'Tie', to: 'ties', optional: 'not in the wardrobe' },
    knot: { kind: 'knot', label: 'Knot', required: true },
    personId: { kind: 'reference', label: 'Dressed by', to: 'people', optional: 'nobody named' },
    neck: { kind: 'choice', label: 'Tied', choices: tiedOn },
    doneOn: { kind: 'day', label: 'Day' },
    state: { kind: 'choice', label: 'Start read', choices: dressing.readsAt },
    end: { kind: 'choice', label: 'End set', choices: ends },
    setMm: { kind: 'length', measure: measures.tying.setMm, optional: true },
    tipOffMm: { kind: 'length', measure: measures.tying.tipOffMm, optional: true },
    tailEndMm: { kind: 'length', measure: measures.tying.tailEndMm, optional: true },
    tries: { kind: 'count', label: 'Attempts', most: 50 },
    minutes: { kind: 'count', label: 'Minutes', most: 240, optional: true },
    topMm: { kind: 'length', measure: measures.tying.topMm, optional: true },
    bottomMm: { kind: 'length', measure: measures.tying.bottomMm, optional: true },
    heightMm: { kind: 'length', measure: measures.tying.heightMm, optional: true },
    depthMm: { kind: 'length', measure: measures.tying.depthMm, optional: true },
    lean: { kind: 'choice', label: 'Knot stood', choices: leans, optional: 'not looked at' },
    findings: { kind: 'choices', label: 'Findings', choices: findings },
    clientVerdict: { kind: 'choice', label: 'The client says', choices: verdicts, optional: 'not asked' },
    stylistVerdict: { kind: 'choice', label: 'The stylist says', choices: verdicts, optional: 'not said' },
    counts: { kind: 'flag', label: 'Learn from it' },
    note: noteField,
    figures: { kind: 'figures', label: 'Figures of its day', names: figureNames, required: ['takeUpMm'] },
  },
  fresh: {
    label: '',
    source: 'fitting',
    clientId: null,
    tieId: null,
    knot: '',
    personId: null,
    neck: 'facing',
    doneOn: '',
    state: 'snug',
    end: 'tail',
    setMm: null,
    tipOffMm: null,
    tailEndMm: null,
    tries: 1,
    minutes: null,
    topMm: null,
    bottomMm: null,
    heightMm: null,
    depthMm: null,
    lean: null,
    findings: [],
    clientVerdict: null,
    stylistVerdict: null,
    counts: true,
    note: '',
    figures: { takeUpMm: 0 },
  },
};
