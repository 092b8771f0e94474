import { Keyboard, Printer, Redo2, Search, Undo2 } from 'lucide-react';
import { memo } from 'react';
import { useSurroundings } from '../atHand/useAtHand.ts';
import { WhoIsDressing } from '../atHand/WhoIsDressing.tsx';
import { unitChoices } from '../device/preferences.tsx';
import { useEntryPart, useSteps } from '../ui/entryStore.ts';
import { Places } from '../ui/Places.tsx';
import { Switch } from '../ui/Switch.tsx';
import { Tool } from '../ui/Tool.tsx';

interface FittingHeaderProps {
  readonly onCommand: () => void;
  readonly onKeys: () => void;
}

/** Where else to go, who is dressing, and the tools. */
export const FittingHeader = memo(function FittingHeader({ onCommand, onKeys }: FittingHeaderProps) {
  const { store, studio, units, setUnits } = useSurroundings();
  const { undo, redo } = useSteps(store);
  const client = useEntryPart(store, 'client');
  return (
    <header className="flex flex-wrap items-center justify-between gap-x-4 px-5 pt-0.5 lg:flex-nowrap lg:gap-x-2">
      <h1 className="sr-only">Fitting: {client.label}</h1>
      <p className="flex items-baseline gap-3">
        <a href="/" className="text-xl font-semibold tracking-tight">
          Ropewalk
        </a>
        <span className="text-soft max-2xl:hidden">{studio.name}</span>
      </p>
      <nav aria-label="Views">
        <Places here="/" />
      </nav>
      <div className="flex items-center gap-x-2 max-sm:flex-wrap lg:max-xl:gap-x-1">
        <WhoIsDressing />
        <Switch label="Units" value={units} choices={unitChoices} onChange={setUnits} />
        <span className="flex">
          <Tool label="Undo (Ctrl + Z)" onPress={undo}>
            <Undo2 aria-hidden className="size-5" />
          </Tool>
          <Tool label="Redo (Ctrl + Shift + Z)" onPress={redo}>
            <Redo2 aria-hidden className="size-5" />
          </Tool>
          <Tool label="Print a card" onPress={() => print()}>
            <Printer aria-hidden className="size-5" />
          </Tool>
          <Tool label="Any command (Ctrl + K)" onPress={onCommand}>
            <Search aria-hidden className="size-5" />
          </Tool>
          <Tool label="Keys and screen (?)" onPress={onKeys}>
            <Keyboard aria-hidden className="size-5" />
          </Tool>
        </span>
      </div>
    </header>
  );
});
