import type { KnotProperties } from '../knot/properties.ts';

const tucked = 0.25;
const panel = 0.45;
const narrowTight = 0.35;
const loose = 0.6;
const looseTurn = 0.03;

/**
 * How much a knot asks of the cloth's own grip, 0 to 1 on the scale of the fabrics. A tucked knot
 * holds itself; a panel is held by the turns it comes out of alone; turns that are held open
 * stay open only by the cloth's texture, the more the more of them. Our judgement.
 */
export function gripNeeded({ active, finish, loose: turns, moves }: Pick<KnotProperties, 'active' | 'finish' | 'loose' | 'moves'>): number {
  if (turns) return loose + looseTurn * (moves - turns.from + 1);
  if (finish === 'open') return panel;
  return active === 'narrow' ? narrowTight : tucked;
}
