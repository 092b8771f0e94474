import { buttonsKind } from './buttons.ts';
import { choiceKind } from './choice.ts';
import { choicesKind } from './choices.ts';
import { colourKind } from './colour.ts';
import { coloursKind } from './colours.ts';
import { countKind } from './count.ts';
import { dayKind } from './day.ts';
import type { Field, FieldOf } from './field.ts';
import type { FieldKind } from './fieldKind.ts';
import { figuresKind } from './figures.ts';
import { flagKind } from './flag.ts';
import { knotKind } from './knot.ts';
import { lengthKind } from './length.ts';
import { profileKind } from './profile.ts';
import { referenceKind } from './reference.ts';
import { sharesKind } from './shares.ts';
import { takenKind } from './taken.ts';
import { textKind } from './text.ts';
import { timesKind } from './times.ts';

const fieldKinds: { readonly [K in Field['kind']]: FieldKind<FieldOf<K>> } = {
  text: textKind,
  length: lengthKind,
  buttons: buttonsKind,
  choice: choiceKind,
  choices: choicesKind,
  day: dayKind,
  flag: flagKind,
  colour: colourKind,
  colours: coloursKind,
  shares: sharesKind,
  reference: referenceKind,
  knot: knotKind,
  taken: takenKind,
  profile: profileKind,
  times: timesKind,
  count: countKind,
  figures: figuresKind,
};

/** What is particular to a field's kind. */
export function kindOf(field: Field): FieldKind<Field> {
  return fieldKinds[field.kind] as FieldKind<Field>;
}
