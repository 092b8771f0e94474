import assert from 'node:assert/strict';
import test from 'node:test';
import { judgeSquare, matchSquares, type Square, swapsFor } from '../../../src/core/wardrobe/matchSquares.ts';

const tie = { id: 't1', label: 'Guild stripe', colours: ['#23406b', '#c9a557'], shares: [72, 28] };
const other = { id: 't2', label: 'Pilot blue', colours: ['#2b4c7e', '#c89b3c'], shares: [85, 15] };
const square = (id: string, colours: string[], shares: number[] | null = null, tieId: string | null = null): Square => ({
  id,
  label: id,
  colours,
  shares,
  tieId,
});
const white = square('white', ['#fbfbfa']);
const ownSquare = square('own', ['#23406b', '#c9a557'], [72, 28], 't1');
const brass = square('brass', ['#f1ead8', '#c9a557'], [80, 20]);
const turned = square('turned', ['#c9a557', '#23406b'], [60, 40], 't2');
const green = square('green', ['#2f5d3a']);

test('plain white always answers', () => {
  for (const rule of ['echo', 'apart', 'set'] as const) assert.equal(judgeSquare(tie, white, rule).verdict, 'good');
});

test('the square of the tie’s own set is refused, unless that school is followed', () => {
  assert.equal(judgeSquare(tie, ownSquare).verdict, 'poor');
  assert.equal(judgeSquare(tie, ownSquare, 'apart').verdict, 'poor');
  assert.equal(judgeSquare(tie, ownSquare, 'set').verdict, 'fair');
});

test('hues in other proportions are liked best; the same proportions read as a set; nothing shared stands by itself', () => {
  const turnedRound = judgeSquare(tie, turned);
  assert.equal(turnedRound.verdict, 'good');
  assert.match(turnedRound.text, /in other proportions: 28% of the tie, 60% of the square/);
  const sameAgain = judgeSquare(tie, { ...ownSquare, tieId: null });
  assert.match(sameAgain.text, /reads as a matched set/);
  const apart = judgeSquare(tie, green);
  assert.equal(apart.echo, 0);
  assert.ok(turnedRound.score > apart.score && apart.score > sameAgain.score - 0.1);
  assert.equal(matchSquares(tie, [green, ownSquare, brass, turned])[0]?.square.id, 'turned');
});

test('the school of no echo turns it round', () => {
  assert.equal(judgeSquare(tie, green, 'apart').verdict, 'good');
  assert.equal(judgeSquare(tie, turned, 'apart').verdict, 'fair');
});

test('two sets are split where both pairs go well, and never with their own', () => {
  const ownTurned = square('own', ['#c9a557', '#23406b'], [70, 30], 't1');
  const [swap] = swapsFor(tie, [tie, other], [ownTurned, turned, white]);
  assert.deepEqual([swap?.withSquare.id, swap?.otherTie.id, swap?.otherSquare.id], ['turned', 't2', 'own']);
  assert.deepEqual(
    swapsFor(tie, [tie, other], [ownSquare, turned]),
    [],
    'in its own proportions it would read as a set with the other tie too',
  );
  assert.deepEqual(swapsFor(tie, [tie, other], [ownTurned, white]), []);
  assert.deepEqual(swapsFor(tie, [tie], [ownTurned, turned]), [], 'the other set’s tie must be there');
});
