import { Check, ChevronDown } from 'lucide-react';
import { startTransition } from 'react';
import {
  Autocomplete,
  Button,
  Header,
  Input,
  Label,
  ListBox,
  ListBoxItem,
  ListBoxSection,
  ListLayout,
  Popover,
  SearchField,
  Select,
  SelectValue,
  useFilter,
  Virtualizer,
} from 'react-aria-components';
import { type ChoiceGroup, type ChooserProps, chooserWord, chosenText } from './choices.ts';
import { Swatch } from './Swatch.tsx';

/** Lists longer than this can be searched by typing. */
const searchFrom = 9;
/** And longer than this are drawn only where they are in sight. */
const windowFrom = 60;

const listBox = 'max-h-96 overflow-auto py-1 outline-none';

/** The word with its list, which opens at once. */
export function ChooserList({ label, value, placeholder, groups, onChoose, search, onOpen }: ChooserProps) {
  const { contains } = useFilter({ sensitivity: 'base' });
  const shown = groups.filter(({ choices }) => choices.length > 0);
  const count = shown.reduce((sum, { choices }) => sum + choices.length, 0);
  const sections = shown.map((group) => <Section key={group.title} group={group} />);
  const list =
    count > windowFrom ? (
      <Virtualizer layout={ListLayout} layoutOptions={{ rowHeight: 44, headingHeight: 30 }}>
        <ListBox className={`${listBox} h-96`}>{sections}</ListBox>
      </Virtualizer>
    ) : (
      <ListBox className={listBox} renderEmptyState={() => <p className="px-3 py-2 text-soft">Nothing found.</p>}>
        {sections}
      </ListBox>
    );
  return (
    <Select
      className="inline-flex min-w-0"
      defaultOpen
      onOpenChange={(open) => open && onOpen?.()}
      value={value}
      placeholder={placeholder}
      onChange={(key) => {
        // The list closes at once; what follows from the choice is drawn as the hand leaves room for it.
        if (key !== null) startTransition(() => onChoose(String(key)));
      }}
    >
      <Label className="sr-only">{label}</Label>
      <Button className={chooserWord}>
        <SelectValue className="truncate" title={chosenText({ groups, value, placeholder })}>
          {({ selectedText, isPlaceholder }) => (isPlaceholder || !selectedText ? placeholder : selectedText)}
        </SelectValue>
        <ChevronDown aria-hidden className="size-4 shrink-0 opacity-60" />
      </Button>
      <Popover isNonModal className="w-80 border-2 border-set bg-white shadow-[0_12px_30px_-12px_#16202a66]">
        {search || count >= searchFrom ? (
          <Autocomplete {...(search ? { inputValue: search.text, onInputChange: search.onText } : { filter: contains })}>
            <SearchField autoFocus aria-label={`Find: ${label}`} className="px-3 pt-2">
              <Input className="h-10 w-full border-b-2 border-set/40 bg-transparent text-lg text-set outline-none" placeholder="Find" />
            </SearchField>
            {list}
          </Autocomplete>
        ) : (
          list
        )}
      </Popover>
    </Select>
  );
}

function Section({ group: { title, choices } }: { readonly group: ChoiceGroup }) {
  return (
    <ListBoxSection id={title}>
      <Header className="px-3 pt-2 pb-1 text-note text-soft">{title}</Header>
      {choices.map((choice) => (
        <ListBoxItem
          key={choice.key}
          id={choice.key}
          textValue={choice.label}
          className="flex min-h-11 cursor-pointer items-center gap-2 px-3 outline-none data-[focused]:bg-set-wash data-[selected]:text-set"
        >
          {({ isSelected }) => (
            <>
              {choice.colours && <Swatch colours={choice.colours} />}
              <span className="grow">{choice.label}</span>
              {isSelected && <Check aria-hidden className="size-4" />}
            </>
          )}
        </ListBoxItem>
      ))}
    </ListBoxSection>
  );
}
