import ICAL from 'ical.js';
import type { ClientRecord } from '../records/records.ts';

/** What a contact card tells of a client. */
export type Contact = Pick<ClientRecord, 'name' | 'nickname' | 'note' | 'email' | 'phone' | 'address'>;

export interface ReadCard {
  /** Which card of the file, from 1. */
  readonly line: number;
  /** Of a client of this studio; absent on cards from elsewhere. */
  readonly id: string | undefined;
  /** What the card says; what it has no line for it leaves open. */
  readonly contact: Partial<Contact>;
}

const uidPrefix = 'urn:uuid:';

/** Contact cards, vCard 4.0 (RFC 6350). */
export function writeVcards(clients: readonly (Contact & { readonly id: string })[]): string {
  return clients
    .map(({ id, name, nickname, note, email, phone, address }) => {
      const card = new ICAL.Component('vcard');
      card.addPropertyWithValue('version', '4.0');
      card.addPropertyWithValue('uid', `${uidPrefix}${id}`);
      card.addPropertyWithValue('fn', name);
      const optional = { nickname, note, email, tel: phone };
      for (const [key, value] of Object.entries(optional)) {
        if (value === '') continue;
        const property = new ICAL.Property(key, card);
        property.resetType('text');
        property.setValue(value);
        card.addProperty(property);
      }
      // Post office box, extended address, street, locality, region, code, country: ours is one line.
      if (address !== '') {
        const property = new ICAL.Property('adr', card);
        property.setValue(['', '', address, '', '', '', '']);
        card.addProperty(property);
      }
      return `${card.toString()}\r\n`;
    })
    .join('');
}

/** Reads contact cards. Throws a sentence for a file that holds none. */
export function readVcards(text: string): ReadCard[] {
  const backslash = absentFrom(text);
  const cards = parse(withBackslashAs(backslash, text));
  if (cards.length === 0) throw new Error('There is no contact card in the file.');
  const read = (value: string): string => value.replaceAll(backslash, '\\');
  return cards.map((card, i) => {
    const uid = first(card, 'uid');
    const id = uid.toLowerCase().startsWith(uidPrefix) ? uid.slice(uidPrefix.length).toLowerCase() : undefined;
    return {
      line: i + 1,
      id,
      contact: Object.fromEntries(
        lines.flatMap(([key, line, of]) => (card.hasProperty(line) || key === 'name' ? [[key, read(of(card))]] : [])),
      ),
    };
  });
}

/** Which line of a card tells what of a client. */
const lines: readonly (readonly [keyof Contact, string, (card: InstanceType<typeof ICAL.Component>) => string])[] = [
  ['name', 'fn', (card) => first(card, 'fn')],
  ['nickname', 'nickname', (card) => first(card, 'nickname')],
  ['note', 'note', (card) => all(card, 'note').join('\n')],
  ['email', 'email', (card) => first(card, 'email')],
  ['phone', 'tel', (card) => first(card, 'tel').replace(/^tel:/, '')],
  ['address', 'adr', addressOf],
];

/** Characters that no script has. */
const privateUse = Array.from({ length: 0x1900 }, (_, i) => String.fromCharCode(0xe000 + i));

/** A character that the text does not use. */
function absentFrom(text: string): string {
  const used = new Set(text);
  const absent = privateUse.find((character) => !used.has(character));
  if (absent === undefined) throw new Error('The file is not a contact card: it holds every character there is.');
  return absent;
}

/** The library takes the separator after an escaped backslash for an escaped separator; so it gets to see none. */
function withBackslashAs(character: string, text: string): string {
  return text.replace(/\r?\n[ \t]/g, '').replace(/\\(.)/gs, (whole, escaped) => (escaped === '\\' ? character : whole));
}

function parse(text: string): InstanceType<typeof ICAL.Component>[] {
  try {
    const parsed = ICAL.parse(text.replace(/^\uFEFF/, '')) as unknown[];
    // One card comes back by itself, several in a list.
    const list = typeof parsed[0] === 'string' ? [parsed] : parsed;
    return list
      .map((jcard) => new ICAL.Component(jcard as ConstructorParameters<typeof ICAL.Component>[0]))
      .filter(({ name }) => name === 'vcard');
  } catch {
    throw new Error('The file is not a contact card, or is cut off.');
  }
}

function all(card: InstanceType<typeof ICAL.Component>, name: string): string[] {
  return card.getAllProperties(name).map((property) => {
    const values: unknown[] = property.getValues();
    return values.map(String).join(', ');
  });
}

function first(card: InstanceType<typeof ICAL.Component>, name: string): string {
  return all(card, name)[0] ?? '';
}

function addressOf(card: InstanceType<typeof ICAL.Component>): string {
  const value: unknown = card.getFirstPropertyValue('adr');
  const parts: unknown[] = Array.isArray(value) ? value : [value ?? ''];
  return parts
    .flat()
    .map(String)
    .filter((part) => part !== '')
    .join(', ');
}
