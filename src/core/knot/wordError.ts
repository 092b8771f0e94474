export type KnotRule =
  | 'unreadable'
  | 'empty'
  | 'first-move'
  | 'same-region'
  | 'alternation'
  | 'too-few-moves'
  | 'last-move'
  | 'front-band'
  | 'after-finish'
  | 'manner'
  | 'loose';

/** A word that cannot be read or tied. `move` counts from 1 and is absent when no single move is at fault. */
export class KnotWordError extends Error {
  readonly rule: KnotRule;
  readonly move: number | undefined;

  constructor(rule: KnotRule, message: string, move?: number) {
    super(message);
    this.name = 'KnotWordError';
    this.rule = rule;
    this.move = move;
  }
}

/** Only the outer turns can be loose: what goes over them would draw them tight. */
export function drawnOverLoose(move: number): KnotWordError {
  return new KnotWordError(
    'loose',
    `Move ${move} would be drawn tight over turns that are held loose: only the outer turns can be loose.`,
    move,
  );
}
