import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import test from 'node:test';
import { gunzipSync } from 'node:zlib';
import { stepsFolder } from '../../../scripts/cloth/readyFolder.ts';
import { unpackSequence } from '../../../src/core/cloth/steps/sequence.ts';
import { drawnOut } from '../../../src/core/seen/drawnOut.ts';

const finished = (code: string) => unpackSequence(gunzipSync(readFileSync(join(stepsFolder, `${code}.bin.gz`)))).finished!;

test('drawn out by shares the standing end grows shorter row by row until only its arm is left; the turns lie as they lay', () => {
  for (const code of ['4.1', '5.1', '8.7']) {
    const tucked = finished(code);
    assert.deepEqual(drawnOut(tucked, 0), tucked, 'not drawn yet');
    const rows = [0, 0.25, 0.5, 0.75, 1].map((share) => drawnOut(tucked, share).standing.rows);
    assert.ok(
      rows.every((count, i) => i === 0 || count < (rows[i - 1] ?? 0)),
      `${code}: ${rows.join(', ')}`,
    );
    const { active, standing, columns } = drawnOut(tucked, 1);
    assert.equal(active, tucked.active);
    assert.ok(standing.parts.every((part) => part === 'arm'));
    assert.deepEqual([standing.position.length, standing.rest.length], [3 * columns * standing.rows, standing.rows - 1]);
    assert.deepEqual(standing.position, tucked.standing.position.slice(0, standing.position.length), 'what is left has not moved');
  }
});
