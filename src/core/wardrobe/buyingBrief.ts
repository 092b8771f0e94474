import { frontDropOf } from '../body/frontDrop.ts';
import { collarFill } from '../collar/fill.ts';
import { clearContrast, labOf } from '../colour/compare.ts';
import { enumerateKnots } from '../knot/enumerate.ts';
import { knotProperties } from '../knot/properties.ts';
import { bandShowsUnder, swampsOver } from '../plan/criteria/collarFill.ts';
import { allowanceOf } from '../plan/criteria/lapel.ts';
import { landingAt } from '../plan/landing.ts';
import { completeRequest } from '../plan/request.ts';
import { endsOf } from '../plan/tail.ts';
import { supposeTie } from '../tie/tie.ts';
import { shapeOf } from '../tying/shape.ts';
import { type Stance, stanceOf } from '../tying/stance.ts';
import { startFor } from '../tying/start.ts';
import { type Winding, windingOf } from '../tying/winding.ts';
import { usualTie } from '../usual.ts';
import type { Outfit } from './judgeTie.ts';

export interface LengthRange {
  readonly min: number;
  readonly max: number;
}

interface NamedWinding {
  readonly winding: Winding;
  readonly stance: Stance | undefined;
  readonly name: string;
}

/** One width and thickness, and what a tie of it would have to be. */
export interface BriefCell {
  readonly bladeMm: number;
  readonly thicknessMm: number;
  /** Knots that would fill the collar, by name. */
  readonly knots: readonly string[];
  /** Lengths at which one of them leaves a tail that holds and hides; absent when none fits. */
  readonly lengthMm: LengthRange | undefined;
}

/** What to look for in a shop for one outfit. */
export interface BuyingBrief {
  readonly blades: readonly number[];
  readonly thicknesses: readonly number[];
  readonly cells: readonly BriefCell[];
  /** How far it was searched: a range that reaches so far may reach farther. */
  readonly searched: Readonly<Record<'bladeMm' | 'thicknessMm' | 'lengthMm', LengthRange>>;
  readonly bladeMm: LengthRange | undefined;
  readonly thicknessMm: LengthRange | undefined;
  readonly lengthMm: LengthRange | undefined;
  /** CIELAB lightness the tie should have at most, to be clearly darker than the shirt; `undefined` where none is, or the shirt's colour was never entered. */
  readonly darkestOfLight: number | undefined;
  /** And at least, to be clearly lighter. */
  readonly lightestOfDark: number | undefined;
}

const steps = (from: number, to: number, by: number) => Array.from({ length: Math.round((to - from) / by) + 1 }, (_, i) => from + i * by);
const blades = steps(42, 108, 3);
const thicknesses = steps(1.5, 5.5, 0.25);
/** Lengths that shops have. */
const lengths = steps(1150, 1750, 40);

const searched = { bladeMm: ends(blades), thicknessMm: ends(thicknesses), lengthMm: ends(lengths) };

function ends(all: readonly number[]): LengthRange {
  return { min: Math.min(...all), max: Math.max(...all) };
}

/**
 * The widths, thicknesses, lengths and lightnesses of tie that would serve an outfit, by searching
 * the model over the named knots. Ties are supposed in the usual proportions.
 */
export function buyingBrief(outfit: Outfit): BuyingBrief {
  const request = completeRequest({ ...outfit.question, tie: usualTie });
  const { client, shirt, jacket, aim, rules, search, calibration } = request;
  const loopMm = client.neckMm + shirt.collarAllowanceMm;
  const drop = frontDropOf(client);
  const dropMm = drop.meanMm + aim.offsetMm;
  const allowedMm = allowanceOf(rules.lapelRule);
  const knots = enumerateKnots(search.maxMoves)
    .map((knot) => ({ winding: windingOf(knot), stance: stanceOf(knot), name: knotProperties(knot).names[0] }))
    .filter((knot): knot is NamedWinding => knot.name !== undefined);

  const cells = blades.flatMap((bladeMm) =>
    thicknesses.map((thicknessMm): BriefCell => {
      const suits = jacket === null || Math.abs(bladeMm - jacket.lapelMm) <= allowedMm;
      const fitting = suits ? knots.flatMap((knot) => lengthsFor(knot, bladeMm, thicknessMm)) : [];
      return { bladeMm, thicknessMm, knots: fitting.map(({ name }) => name), lengthMm: span(fitting.map(({ lengthMm }) => lengthMm)) };
    }),
  );

  const good = cells.filter(({ lengthMm }) => lengthMm !== undefined);
  const lightness = outfit.shirtColour === null ? undefined : labOf(outfit.shirtColour).lightness;
  return {
    blades,
    thicknesses,
    cells,
    searched,
    bladeMm: span(good.map(({ bladeMm }) => ({ min: bladeMm, max: bladeMm }))),
    thicknessMm: span(good.map(({ thicknessMm }) => ({ min: thicknessMm, max: thicknessMm }))),
    lengthMm: span(good.flatMap((cell) => cell.lengthMm ?? [])),
    darkestOfLight: lightness !== undefined && lightness - clearContrast > 0 ? lightness - clearContrast : undefined,
    lightestOfDark: lightness !== undefined && lightness + clearContrast < 100 ? lightness + clearContrast : undefined,
  };

  /** The lengths at which a knot can be worn, goes through the keeper and fills the collar. */
  function lengthsFor(
    { winding, stance, name }: NamedWinding,
    bladeMm: number,
    thicknessMm: number,
  ): { name: string; lengthMm: LengthRange }[] {
    const fitting = lengths.filter((lengthMm) => {
      const tie = supposeTie({ lengthMm, bladeMm, thicknessMm });
      const start = startFor(winding, tie, { loopMm, dropMm, calibration });
      const shape = shapeOf(start.bundle, stance);
      const { tail, refusal } = endsOf({
        active: winding.active,
        start,
        loopMm,
        tipDropMm: dropMm,
        tipSdMm: landingAt(dropMm, start.takeUpMm, drop, aim, calibration).sdMm,
        keeperMm: tie.keeperMm,
        knotHeightMm: shape.heightMm,
        jacket,
      });
      const { fill } = collarFill(shirt, shape);
      return fill >= bandShowsUnder && fill <= swampsOver && tail.reachesKeeper && refusal === null;
    });
    const [min] = fitting;
    const max = fitting.at(-1);
    return min === undefined || max === undefined ? [] : [{ name, lengthMm: { min, max } }];
  }
}

function span(ranges: readonly LengthRange[]): LengthRange | undefined {
  if (ranges.length === 0) return undefined;
  return { min: Math.min(...ranges.map(({ min }) => min)), max: Math.max(...ranges.map(({ max }) => max)) };
}
