import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import test from 'node:test';
import { compiledFile, compileKernel } from '../../../scripts/cloth/kernel.ts';

test('what is run of the contact kernel is what its sources compile to', async () => {
  assert.equal(readFileSync(compiledFile, 'utf8'), await compileKernel(), 'Run `npm run cloth kernel`.');
});
