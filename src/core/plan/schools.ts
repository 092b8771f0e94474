/** One way of judging: what it says, and who would choose it and why. */
export interface School {
  readonly label: string;
  readonly says: string;
  readonly chosenBy: string;
}

interface Question {
  readonly label: string;
  readonly schools: Readonly<Record<string, School>>;
}

/** Where practitioners differ and each is right: the studio holds to one of each. */
export const schools = {
  collarRule: {
    label: 'Judge the knot in the collar by',
    schools: {
      thirds: {
        label: 'thirds',
        says: 'The knot covers at most a third of the collar’s front edge.',
        chosenBy: 'For whoever wants one rule for every collar, with a figure to hold it to.',
      },
      proportion: {
        label: 'size',
        says: 'A point collar takes a small knot, a semi-spread a medium one, wider collars a large one.',
        chosenBy: 'For whoever thinks in named collars, and for clients who know theirs.',
      },
    },
  },
  lapelRule: {
    label: 'Blade and lapel',
    schools: {
      'within-inch': {
        label: 'within an inch',
        says: 'The blade may be an inch narrower or wider than the lapel; too narrow is the worse fault.',
        chosenBy: 'For a wardrobe that exists already: most ties can be worn with most jackets.',
      },
      match: {
        label: 'matched',
        says: 'The blade is as wide as the lapel, to about 6 mm.',
        chosenBy: 'For a new outfit, formal dress and photographs, where the two are seen side by side.',
      },
    },
  },
} as const satisfies Readonly<Record<string, Question>>;

/** What the studio holds to in every choice. */
export type HouseRules = { readonly [Q in keyof typeof schools]: keyof (typeof schools)[Q]['schools'] };
