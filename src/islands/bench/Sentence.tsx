import { useFormContext } from 'react-hook-form';
import type { Wardrobe } from '../../contract/records.ts';
import { type AimCode, aimCodes, aims } from '../../core/plan/aims.ts';
import { type ChoiceGroup, Chooser } from '../controls/Chooser.tsx';
import { type Group, groups } from './groups.ts';
import { type BenchValues, withAim, withClient, withJacket, withShirt, withTie } from './values.ts';

interface SentenceProps {
  readonly wardrobe: Wardrobe | undefined;
  readonly values: BenchValues;
  readonly onTurnTo: (group: Group) => void;
  /** The words that are said; all of them on the bench. */
  readonly words?: readonly Group[];
}

const noJacket = 'none';

/** Who wears what, as a sentence whose words can be exchanged. */
export function Sentence({ wardrobe, values, onTurnTo, words = groups }: SentenceProps) {
  const { reset } = useFormContext<BenchValues>();
  const take = (group: Group, next: BenchValues) => {
    reset(next);
    onTurnTo(group);
  };
  const kept = wardrobe ?? { clients: [], shirts: [], jackets: [], ties: [] };
  const ofWhom = { id: values.client.id, name: values.client.label };
  return (
    <div className="flex flex-wrap items-center gap-x-1.5 gap-y-1 text-lg">
      <Chooser
        label="Client"
        value={values.client.id}
        placeholder={values.client.label}
        groups={[{ title: 'Clients', choices: kept.clients.map(({ id, name }) => ({ key: id, label: name })) }]}
        onChoose={(key) => {
          const client = kept.clients.find(({ id }) => id === key);
          if (client && wardrobe) take('client', withClient(values, client, wardrobe));
        }}
      />
      <span className="text-soft">in</span>
      <Chooser
        label="Shirt"
        value={values.shirt.id}
        placeholder={values.shirt.label}
        groups={byOwner(kept.shirts, ofWhom, ({ colour }) => [colour])}
        onChoose={(key) => {
          const shirt = kept.shirts.find(({ id }) => id === key);
          if (shirt) take('shirt', withShirt(values, shirt));
        }}
      />
      <span className="text-soft">and</span>
      <Chooser
        label="Jacket"
        value={values.jacket ? values.jacket.id : noJacket}
        placeholder={values.jacket?.label ?? 'no jacket'}
        groups={[
          ...byOwner(kept.jackets, ofWhom, ({ colour }) => [colour]),
          { title: 'Or', choices: [{ key: noJacket, label: 'no jacket' }] },
        ]}
        onChoose={(key) => {
          const jacket = kept.jackets.find(({ id }) => id === key);
          take('jacket', withJacket(values, jacket ?? null));
        }}
      />
      {words.includes('tie') && (
        <>
          <span className="text-soft">with</span>
          <Chooser
            label="Tie"
            value={values.tie.id}
            placeholder={values.tie.label}
            groups={byOwner(kept.ties, ofWhom, ({ colours }) => colours)}
            onChoose={(key) => {
              const tie = kept.ties.find(({ id }) => id === key);
              if (tie) take('tie', withTie(values, tie));
            }}
          />
        </>
      )}
      <span className="text-soft">to</span>
      <Chooser
        label="Aim"
        value={values.aim === 'own' ? null : values.aim}
        placeholder="an aim of its own"
        groups={[{ title: 'The tip shall end at', choices: aimCodes.map((code) => ({ key: code, label: aims[code].label })) }]}
        onChoose={(key) => take('aim', withAim(values, key as AimCode))}
      />
    </div>
  );
}

/** The client's own first, then the studio's, then what belongs to others. */
function byOwner<T extends { readonly id: string; readonly clientId: string | null; readonly label: string }>(
  all: readonly T[],
  client: { readonly id: string | null; readonly name: string },
  colours: (each: T) => readonly string[],
): ChoiceGroup[] {
  const choices = (keep: (each: T) => boolean) =>
    all.filter(keep).map((each) => ({ key: each.id, label: each.label, colours: colours(each) }));
  const own = (each: T) => client.id !== null && each.clientId === client.id;
  return [
    { title: `${client.name}’s own`, choices: choices(own) },
    { title: 'The studio’s', choices: choices((each) => each.clientId === null) },
    { title: 'Other clients’', choices: choices((each) => each.clientId !== null && !own(each)) },
  ];
}
