import { activeRest, at, before, half, layCloth, position, standingRest } from './cloth';
import { deepest, isPressed, layContacts, room, touching } from './contacts';
import { layPairs } from './pairs';

export { passOver as pass } from './contacts';
export { followPairs as follow } from './pairs';

/** Lays a cloth of so many columns and rows; where its arrays then stand is told below, as bytes. */
export function lay(columns: i32, activeRows: i32, standingRows: i32): void {
  layCloth(columns, activeRows, standingRows);
  layPairs();
  layContacts();
}

export function touchingNow(): i32 {
  return touching;
}

export function deepestMm(): f64 {
  return deepest;
}

export function positionAt(): usize {
  return at(position);
}

export function beforeAt(): usize {
  return at(before);
}

export function halfAt(): usize {
  return at(half);
}

export function activeRestAt(): usize {
  return at(activeRest);
}

export function standingRestAt(): usize {
  return at(standingRest);
}

export function roomAt(): usize {
  return at(room);
}

export function isPressedAt(): usize {
  return at(isPressed);
}
