import Joi from 'joi';
import { takings } from '../../core/body/frontDrop.ts';
import { measures } from '../../core/measures/measures.ts';
import { oneOf } from '../atoms.ts';
import { sayDay } from '../days.ts';
import { type Column, labelOf, plain, readNumber, type Values } from '../exchange/column.ts';
import { lengthOf, type Say } from '../lengths.ts';
import { latest } from '../records/asWorn.ts';
import { type TakenCode, type TakenMeasure, takenCodes } from '../records/records.ts';
import { worded } from '../worded.ts';
import { dayCheck } from './day.ts';
import { type FieldKind, nothing } from './fieldKind.ts';

/** Every taking of a client's measures there was, each with its day and how. */
export interface TakenField {
  readonly kind: 'taken';
  readonly label: string;
}

const mostTakings = 500;

export const takenKind: FieldKind<TakenField> = {
  check: (_, say) =>
    worded(
      Joi.array()
        .items(
          Joi.object({
            measure: Joi.any()
              .valid(...takenCodes)
              .required(),
            mm: Joi.any()
              .required()
              // biome-ignore lint/suspicious/noThenProperty: the schema library's own word; nothing awaits this.
              .when('measure', { switch: takenCodes.map((code) => ({ is: code, then: lengthOf(measures.client[code], say).required() })) }),
            how: oneOf('How it was measured', Object.keys(takings)).required(),
            takenOn: worded(dayCheck.required(), { '*': 'The day must be written as year-month-day.' }),
          }),
        )
        .max(mostTakings)
        // Compared before what is wrong with each is told: it may be anything.
        .unique((a, b) => a?.measure === b?.measure && a?.takenOn === b?.takenOn)
        .default([]),
      {
        'array.base': 'The measures must be a list.',
        'array.max': `A client has at most ${mostTakings} measures on record.`,
        'array.unique': 'One measure was taken twice on one day: keep one of them.',
      },
    ),
  columns: () => takenCodes.flatMap(columnsOfTaking),
  say: (_, value, { say }) =>
    Array.isArray(value) ? (value as TakenMeasure[]).map((taken) => sayTaken(taken, say)).join('; ') || nothing : nothing,
};

/** One taking: what, how much, how and when. */
export function sayTaken({ measure, mm, how, takenOn }: TakenMeasure, say: Say): string {
  const { label, fineness } = measures.client[measure] as { label: string; fineness?: 'stature' };
  return `${label} ${typeof mm === 'number' ? say(mm, fineness) : mm} ${takings[how].label}, ${sayDay(takenOn, 'UTC')}`;
}

/** The latest taking in three columns; earlier ones stay in the studio's own file. */
function columnsOfTaking(measure: TakenCode): Column[] {
  const name = measure.replace(/Mm$/, '').replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
  const { label } = measures.client[measure];
  const of = (record: Values) => latest(record['measures'] as readonly TakenMeasure[], measure);
  const part = (column: string, holds: string, key: 'mm' | 'how' | 'takenOn', read: (cell: string) => unknown): Column => ({
    name: column,
    holds,
    label: key === 'mm' ? label : `${label}: ${labelOf(holds)}`,
    ...(key === 'mm' && { measure: measures.client[measure] }),
    write: (record) => plain(of(record)?.[key]),
    read: (cell, into) => {
      const latestTaken = (into['latest'] ?? {}) as Record<string, Record<string, unknown>>;
      latestTaken[measure] = { ...latestTaken[measure], measure, [key]: read(cell) };
      into['latest'] = latestTaken;
    },
  });
  return [
    part(`${name}_mm`, `${label} as last measured, mm`, 'mm', readNumber),
    part(`${name}_how`, 'how it was measured: tape or estimate', 'how', (cell) => cell.trim()),
    part(`${name}_taken_on`, 'when, year-month-day', 'takenOn', (cell) => cell.trim()),
  ];
}

interface ReadTaking {
  readonly measure: TakenCode;
  readonly mm?: unknown;
  readonly how?: unknown;
  readonly takenOn?: unknown;
}

/**
 * Puts the measures of a row among those that are kept already. `today` stands where no day was
 * given, unless the row only repeats what was measured last.
 */
export function withLatest(history: readonly TakenMeasure[], read: unknown, today: string): unknown[] {
  const rows = Object.values((read ?? {}) as Record<string, ReadTaking>);
  const news = rows
    .filter(({ measure, mm, takenOn }) => mm !== null && mm !== undefined && (takenOn || latest(history, measure)?.mm !== mm))
    .map((row) => ({ ...row, how: row.how || 'tape', takenOn: row.takenOn || today }));
  const replaced = (old: TakenMeasure) => news.some(({ measure, takenOn }) => measure === old.measure && takenOn === old.takenOn);
  return [...news, ...history.filter((old) => !replaced(old))];
}
