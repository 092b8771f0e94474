import { measures } from '../../../core/measures/measures.ts';
import { fabrics } from '../../../core/tie/fabrics.ts';
import { constructions } from '../../../core/tie/making.ts';
import { patterns } from '../../../core/tie/patterns.ts';
import { supposeTie, tieEnds } from '../../../core/tie/tie.ts';
import { usualTie } from '../../../core/usual.ts';
import type { Field } from '../../fields/field.ts';
import { aShareEach, draftField, type KindOf, nameField, noteField, ownerField } from './kindOf.ts';

type TieLength = keyof typeof measures.tie;

/** The lengths of a tie, by the core's own table of them. */
const lengths = Object.fromEntries(
  Object.entries(measures.tie).map(([key, measure]): [string, Field] => [key, { kind: 'length', measure }]),
) as Record<TieLength, Field>;

const { kind: _kind, ...usual } = supposeTie(usualTie);

export const ties: KindOf<'ties'> = {
  part: 'tie',
  fields: {
    label: nameField,
    clientId: ownerField,
    draft: draftField,
    ...lengths,
    profile: { kind: 'profile', label: 'Widths along it' },
    fabric: { kind: 'choice', label: 'Fabric', choices: fabrics },
    construction: { kind: 'choice', label: 'Construction', choices: constructions },
    ends: { kind: 'choice', label: 'Ends', choices: tieEnds },
    pattern: { kind: 'choice', label: 'Pattern', choices: patterns },
    motifMm: { kind: 'length', measure: measures.motif.motifMm, optional: true },
    colours: { kind: 'colours', label: 'Colours' },
    shares: { kind: 'shares', label: 'Shares' },
    note: noteField,
  },
  together: aShareEach,
  fresh: {
    ...usual,
    label: '',
    clientId: null,
    draft: false,
    note: '',
    construction: 'three-fold',
    ends: 'pointed',
    profile: [],
    motifMm: null,
    colours: [],
    shares: null,
  },
};
