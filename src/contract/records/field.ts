import type { Measure } from '../../core/measures/measures.ts';
import type { Kind } from './records.ts';

/** Code → words, as in the core's definition tables. */
export type Choices = Readonly<Record<string, { readonly label: string }>>;

/** One thing entered of a record: all that forms, checks, columns and files need to know of it. */
export type Field =
  | { readonly kind: 'text'; readonly label: string; readonly longest: number; readonly required?: true; readonly lines?: number }
  | { readonly kind: 'length'; readonly measure: Measure; readonly optional?: true }
  | { readonly kind: 'buttons'; readonly label: string }
  | { readonly kind: 'choice'; readonly label: string; readonly choices: Choices; readonly optional?: string }
  | { readonly kind: 'choices'; readonly label: string; readonly choices: Choices }
  | { readonly kind: 'flag'; readonly label: string }
  | { readonly kind: 'colour'; readonly label: string; readonly optional?: true }
  | { readonly kind: 'colours'; readonly label: string }
  | { readonly kind: 'shares'; readonly label: string }
  | { readonly kind: 'reference'; readonly label: string; readonly to: Kind; readonly optional?: string }
  | { readonly kind: 'knot'; readonly label: string; readonly required?: true }
  | { readonly kind: 'measures'; readonly label: string }
  | { readonly kind: 'profile'; readonly label: string };

export type Fields<T> = Readonly<Record<Exclude<keyof T & string, 'id' | 'version' | 'archived'>, Field>>;

export function labelOf(field: Field): string {
  return field.kind === 'length' ? field.measure.label : field.label;
}
