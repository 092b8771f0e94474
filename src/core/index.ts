/** The public face of the core: everything here is pure computation in millimetres. */
export { type FitBook, type LearnRecord, learn, type NextTying, type Prediction } from './fitbook/learn.ts';
export { enumerateKnots } from './knot/enumerate.ts';
export { formatKnot } from './knot/format.ts';
export { type Frame, frames, ownRight } from './knot/frame.ts';
export type { Direction, Knot, Move, Region } from './knot/knot.ts';
export { parseKnot } from './knot/parse.ts';
export { type KnotProperties, knotProperties } from './knot/properties.ts';
export { type Step, stepsOf } from './knot/steps.ts';
export { KnotWordError } from './knot/wordError.ts';
export type { Advice } from './plan/advice.ts';
export type { KnotPlan, NearLandmark, Reason, SetEnd } from './plan/knotPlan.ts';
export { type Plan, plan } from './plan/plan.ts';
export { completeRequest, type PlanQuestion, type PlanRequest, requestDefaults } from './plan/request.ts';
export { supposeTie, type Tie } from './tie/tie.ts';
export type { KnotShape } from './tying/shape.ts';
export { type Hang, takeUp } from './tying/takeUp.ts';
