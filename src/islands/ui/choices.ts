export interface ChoiceGroup {
  readonly title: string;
  readonly choices: readonly { readonly key: string; readonly label: string; readonly colours?: readonly string[] }[];
}

export interface ChooserProps {
  readonly label: string;
  readonly value: string | null;
  readonly placeholder: string;
  readonly groups: readonly ChoiceGroup[];
  readonly onChoose: (key: string) => void;
  /** Where the choices are sought elsewhere: what is typed, and who is told of it. */
  readonly search?: { readonly text: string; readonly onText: (text: string) => void };
  readonly onOpen?: () => void;
}

/** How the word looks that the list hangs from. */
export const chooserWord =
  'flex min-h-9 max-w-full min-w-24 cursor-pointer items-center gap-1 border-b-2 border-set/40 px-0.5 text-left leading-tight font-medium text-set hover:border-set';

/** What is shown of the choice made, which need not be among those offered just now. */
export function chosenText({ groups, value, placeholder }: Pick<ChooserProps, 'groups' | 'value' | 'placeholder'>): string {
  return groups.flatMap(({ choices }) => choices).find(({ key }) => key === value)?.label ?? placeholder;
}
