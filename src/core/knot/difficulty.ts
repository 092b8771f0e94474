import { fewestMoves } from './knot.ts';
import type { KnotProperties } from './properties.ts';

/** One thing that makes a knot harder to learn and to repeat. */
export interface Hardship {
  readonly text: string;
  /** Its part of the whole. The scale is our own: 1 is as hard as is tied at all. */
  readonly cost: number;
}

const costOfMove = 0.085;
const costOfTurningBack = 0.06;
const costOfSeamOut = 0.12;
const costOfSlack = 0.03;
const costOfNarrowEnd = 0.08;
const costOfLooseTurns = 0.12;

const counts = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
  'thirteen',
  'fourteen',
];

export function countWord(count: number): string {
  return counts[count] ?? String(count);
}

/**
 * What makes a knot hard, part by part: its moves beyond the fewest there are, every turning
 * back of the hand's sense, starting inside out, and every throat turn whose slack has to be
 * held open while the next ones go over it. Our judgement, told as such.
 */
export function hardshipsOf({ moves, balance, startSeam, centres, active, finish, loose }: KnotProperties): Hardship[] {
  const parts: Hardship[] = [{ text: `${countWord(moves)} moves`, cost: costOfMove * Math.max(0, moves - fewestMoves[finish]) }];
  if (startSeam === 'out') parts.push({ text: 'starts inside out', cost: costOfSeamOut });
  if (balance > 0) {
    const times = balance === 1 ? 'once' : balance === 2 ? 'twice' : `${countWord(balance)} times`;
    parts.push({ text: `changes direction ${times}`, cost: costOfTurningBack * balance });
  }
  if (active === 'narrow') parts.push({ text: 'tied with the tail', cost: costOfNarrowEnd });
  if (loose) parts.push({ text: `the last ${countWord(moves - loose.from + 1)} moves are held open to the end`, cost: costOfLooseTurns });
  const held = centres - 1;
  if (held > 0) {
    const turns = held === 1 ? 'one throat turn has' : `${countWord(held)} throat turns have`;
    parts.push({ text: `${turns} to be held while the next go over`, cost: costOfSlack * held });
  }
  return parts;
}

export type DifficultyWord = 'easy' | 'some practice' | 'demanding';

/** The hardships together, in a word. */
export function difficultyWord(properties: KnotProperties): DifficultyWord {
  const cost = hardshipsOf(properties).reduce((sum, part) => sum + part.cost, 0);
  return cost < 0.25 ? 'easy' : cost < 0.55 ? 'some practice' : 'demanding';
}
