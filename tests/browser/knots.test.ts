import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import { formatKnot, parseKnot } from '../../src/core/index.ts';
import { knotOfCode } from '../../src/core/knot/code.ts';
import { openScreen } from '../support/screen.ts';

const screen = openScreen();
beforeEach(async () => {
  await screen.putAtHand('Tobiah');
  await screen.page.go(`/knots`);
  await shows(/85 of 85 knots/);
});

const shows = (what: RegExp) => screen.page.waitFor(async () => what.test(await screen.page.body()), `nothing says ${what}`);
const drawn = async () => (await screen.driver.findElements(By.css('[role=option][data-code]'))).length;
const chosen = async () => (await screen.page.one('//section[@aria-label="The knot looked at"]//h2')).getText();
const zone = async () => {
  const rect = await screen.driver.findElement(By.css('[data-testid=zone]'));
  return [Number(await rect.getAttribute('x')), Number(await rect.getAttribute('width'))] as const;
};
const find = async (text: string) => (await screen.page.one('//input[@id="find"]')).sendKeys(Key.chord(Key.CONTROL, 'a'), text);
const tick = async (label: string) => (await screen.page.one(`//label[normalize-space()="${label}"]/input`)).click();

test('every knot is drawn where its measures put it; filters leave what is wanted', async () => {
  const { page } = screen;
  assert.equal(await drawn(), 85);
  await tick('has a name');
  await shows(/15 of 85 knots/);
  assert.equal(await drawn(), 15);
  await tick('pulls open');
  await page.waitFor(async () => (await drawn()) < 15, 'not fewer');
  await tick('has a name');
  await tick('pulls open');
  const most = await page.one('//input[@type="range"]');
  for (let i = 0; i < 5; i += 1) await most.sendKeys(Key.ARROW_LEFT);
  await shows(/2 of 85 knots/);
});

test('the zone that suits the collar moves when the collar does', async () => {
  const { page } = screen;
  const [from] = await zone();
  await page.choose('Shirt', 'House white, cutaway');
  await page.waitFor(async () => (await zone())[0] > from + 20, 'the zone stayed');
});

test('walked by the arrow keys, brought nearer by plus, and laid out by other measures', async () => {
  const { page, driver } = screen;
  const field = await page.one('//*[@role="listbox"][@aria-label="Map of knots"]');
  const first = await chosen();
  await field.sendKeys(Key.ARROW_LEFT);
  await page.waitFor(async () => (await chosen()) !== first, 'it stayed');
  const place = async () => (await driver.findElement(By.css('[data-code="4.1"]'))).getAttribute('transform');
  const before = await place();
  await field.sendKeys('+');
  await page.waitFor(async () => (await place()) !== before, 'it did not come nearer');
  await field.sendKeys('0');
  await page.waitFor(async () => (await place()) === before, 'not the whole field again');
  await (await page.one('//label[starts-with(normalize-space(), "Up")]//option[normalize-space()="moves"]')).click();
  await page.waitFor(async () => (await place()) !== before, 'not laid out anew');
});

test('found by name, asking which where several pass under it, and remembering the answer', async () => {
  const { page } = screen;
  await find('windsor');
  await shows(/Several knots share this name/);
  await (await page.one('//button[contains(., "Windsor, variant 3")]')).click();
  await page.waitFor(async () => (await chosen()) === 'Windsor, variant 3', 'not chosen');
  await find('Four-in-hand\n');
  await page.waitFor(async () => (await chosen()) === 'Four-in-hand', 'not found by its name');
  await find('windsor');
  await shows(/meant last time/);
  await find('windsor\n');
  await page.waitFor(async () => (await chosen()) === 'Windsor, variant 3', 'the answer was forgotten');
  const { rows } = (await (await fetch(`${screen.app.address}/api/clients`)).json()) as { rows: { meansWindsor: string | null }[] };
  assert.deepEqual(
    rows.flatMap(({ meansWindsor }) => meansWindsor ?? []),
    ['Li Co Li Ro Ci Lo Ri Co T'],
    'the answer belongs to the client at the fitting',
  );
});

test('found by likeness to the one in hand, which stays what it is looked for from', async () => {
  const { page, driver } = screen;
  await page.go('/knots');
  const find = await driver.findElement(By.id('find'));
  await find.sendKeys('four-in-hand', Key.ENTER);
  await find.sendKeys(Key.chord(Key.CONTROL, 'a'), 'a bit larger than this, level');
  await page.waitFor(async () => /Like the Four-in-hand, but a bit larger, level:/.test(await page.body()), 'not understood');
  const before = await page.body();
  await find.sendKeys(Key.ENTER);
  await page.waitFor(async () => /Like the Four-in-hand, but a bit larger, level:/.test(await page.body()), 'looked for from another');
  assert.match(before, /wider at the top/);
});

test('the other families are laid out too: an open front has no tuck, the narrow end sets the blade', async () => {
  const { page } = screen;
  await (await page.one('//label[normalize-space()="open front"]')).click();
  await shows(/170 of 170 knots/);
  await find('Plain panel\n');
  await page.waitFor(async () => (await chosen()) === 'Plain panel', 'not found');
  await (await page.one('//label[normalize-space()="tail ties"]')).click();
  await shows(/254 of 254 knots/);
  await shows(/Set the blade tip at/);
  await find('Ri Lo Ri Co Li Ro Ci Lo Ri Co T\n');
  await page.waitFor(async () => (await chosen()) === 'Triple Windsor', 'a longer word was not laid out besides');
  await shows(/86 knots/);
});

test('the page of a knot tied with the tail says how, what it needs, and what shows of it', async () => {
  const { page } = screen;
  await page.open('/knots/n8.15-6');
  await (await page.one('//summary[contains(., "What it is like")]')).click();
  await shows(/The blade is set to its length first/);
  await shows(/with the tail/);
  await shows(/loosely across the front/);
  await shows(/It needs a fabric with texture/);
  await shows(/On the face: the front band of move \d \(\d+%\)/);
});

test('one’s own word: a legal one is drawn, an illegal one says what is wrong and offers the nearest', async () => {
  const { page } = screen;
  await find('across the front, behind, across the front, up and out through the throat\n');
  await page.waitFor(async () => (await chosen()) === 'Four-in-hand', 'manoeuvres were not read');
  await find('Ri Lo Ri Lo');
  await shows(/Move 4 must be Co/);
  await (await page.one('//div[@role="status"]//button[contains(., "Ri Lo Ri Co T")]')).click();
  await page.waitFor(async () => (await chosen()) === 'Four-in-hand', 'the nearest was not taken');
});

test('the list says the same as the field, in the order asked for', async () => {
  const { page, driver } = screen;
  await (await page.one('//label[normalize-space()="list"]')).click();
  const figures = () =>
    driver.executeScript<number[]>(
      `return [...document.querySelectorAll('tbody tr td:nth-of-type(6)')].map((cell) => Number(cell.innerText))`,
    );
  assert.equal((await figures()).length, 85);
  await (await page.one('//th/button[normalize-space()="Moves"]')).click();
  const moves = await figures();
  assert.deepEqual(
    moves,
    moves.toSorted((a, b) => a - b),
  );
});

test('a knot’s page, its neighbours, and the way to the fitting', async () => {
  const { page, driver } = screen;
  await find('Half-Windsor, pulls open\n');
  await (await page.one('//a[normalize-space()="Details"]')).click();
  await page.alive();
  await (await page.one('//summary[contains(., "What it is like")]')).click();
  await shows(/Pulls open/);
  await shows(/Ri Lo Ci Lo Ri Co T[LCR\s]*Facing the client, blade on the wearer’s right/);
  await (await page.one('//button[starts-with(normalize-space(), "fewer moves")]')).click();
  await page.waitFor(async () => !/releasing sister/.test(await (await page.one('//h1')).getText()), 'the same knot');
  const code = /\/knots\/([\w.]+)$/.exec(await driver.getCurrentUrl())?.[1] ?? '';
  const word = formatKnot(knotOfCode(code) ?? parseKnot('Li Co T'));
  await (await page.button('Use in fitting')).click();
  await page.one(`//*[@data-knot="${word}"][.//input[@checked or @type="radio"]]`);
  assert.equal((await driver.getCurrentUrl()).endsWith('/'), true);
});

test('knots laid aside are compared on the same collar, in words', async () => {
  const { page } = screen;
  for (const name of ['Four-in-hand', 'Windsor, variant 3']) {
    await find(`${name}\n`);
    await page.waitFor(async () => (await chosen()) === name, `not ${name}`);
    await (await page.button('Compare')).click();
  }
  await (await page.one('//a[normalize-space()="Compare these 2"]')).click();
  await shows(/wider at the top[\s\S]*four moves more/);
  await screen.page.reads(
    async () => (await screen.driver.findElements(By.css('[aria-label^="Close-up of collar and knot"]'))).length === 2,
    true,
  );
  await screen.page.go(`/knots/compare`);
  await shows(/Choose two to four knots under/);
});

test('a knot without a name is named for the studio, and found by that name', async () => {
  const { page } = screen;
  await find('Ro Li Ro Li Ro Li Co\n');
  await page.waitFor(async () => /^Knot 7\./.test(await chosen()), 'not found');
  await (await page.one('//a[normalize-space()="Name this knot"]')).click();
  await page.alive();
  await page.type('Name', 'Tar rope');
  await page.reads(() => page.value('Knot'), 'Ro Li Ro Li Ro Li Co T', 'spelled as it was shown');
  await (await page.button('Save')).click();
  await page.waitFor(async () => /\/namings\/[0-9a-f-]{36}$/.test(await screen.driver.getCurrentUrl()), 'not kept');
  await screen.page.go(`/knots`);
  await shows(/85 of 85 knots/);
  await find('tar rope\n');
  await page.waitFor(async () => (await chosen()) === 'Tar rope', 'not called so');
  await find('lamplighter\n');
  await page.waitFor(async () => (await chosen()) === 'Lamplighter', 'the demo studio’s own name');
});
