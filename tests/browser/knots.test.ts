import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import { openScreen } from '../support/screen.ts';

const screen = openScreen();
beforeEach(async () => {
  await screen.startAfresh();
  await screen.bench.choose('Client', 'Tobiah');
  await screen.driver.get(`${screen.app.address}/knots`);
  await shows(/85 of 85 knots/);
});

const shows = (what: RegExp) => screen.bench.waitFor(async () => what.test(await screen.bench.body()), `nothing says ${what}`);
const drawn = async () => (await screen.driver.findElements(By.css('[role=option][data-code]'))).length;
const chosen = async () => (await screen.bench.one('//section[@aria-label="The knot looked at"]//h2')).getText();
const zone = async () => {
  const rect = await screen.driver.findElement(By.css('[data-testid=zone]'));
  return [Number(await rect.getAttribute('x')), Number(await rect.getAttribute('width'))] as const;
};
const find = async (text: string) => (await screen.bench.one('//input[@id="find"]')).sendKeys(Key.chord(Key.CONTROL, 'a'), text);
const tick = async (label: string) => (await screen.bench.one(`//label[normalize-space()="${label}"]/input`)).click();

test('every knot is drawn where its measures put it; filters leave what is wanted', async () => {
  const { bench } = screen;
  assert.equal(await drawn(), 85);
  await tick('has a name');
  await shows(/14 of 85 knots/);
  assert.equal(await drawn(), 14);
  await tick('falls open');
  await bench.waitFor(async () => (await drawn()) < 14, 'not fewer');
  await tick('has a name');
  await tick('falls open');
  const most = await bench.one('//input[@type="range"]');
  for (let i = 0; i < 5; i += 1) await most.sendKeys(Key.ARROW_LEFT);
  await shows(/2 of 85 knots/);
});

test('the zone that suits the collar moves when the collar does', async () => {
  const { bench } = screen;
  const [from] = await zone();
  await bench.choose('Shirt', 'House white, cutaway');
  await bench.waitFor(async () => (await zone())[0] > from + 20, 'the zone stayed');
});

test('walked by the arrow keys, brought nearer by plus, and laid out by other measures', async () => {
  const { bench, driver } = screen;
  const field = await bench.one('//*[@role="listbox"][@aria-label="All knots, by place"]');
  const first = await chosen();
  await field.sendKeys(Key.ARROW_LEFT);
  await bench.waitFor(async () => (await chosen()) !== first, 'it stayed');
  const place = async () => (await driver.findElement(By.css('[data-code="4.1"]'))).getAttribute('transform');
  const before = await place();
  await field.sendKeys('+');
  await bench.waitFor(async () => (await place()) !== before, 'it did not come nearer');
  await field.sendKeys('0');
  await bench.waitFor(async () => (await place()) === before, 'not the whole field again');
  await (await bench.one('//label[starts-with(normalize-space(), "up")]//option[normalize-space()="moves"]')).click();
  await bench.waitFor(async () => (await place()) !== before, 'not laid out anew');
});

test('found by name, asking which where several pass under it, and remembering the answer', async () => {
  const { bench } = screen;
  await find('windsor');
  await shows(/Several pass under this name/);
  await (await bench.one('//button[contains(., "Windsor, third path")]')).click();
  await bench.waitFor(async () => (await chosen()) === 'Windsor, third path', 'not chosen');
  await find('four-in-hand\n');
  await bench.waitFor(async () => (await chosen()) === 'four-in-hand', 'not found by its name');
  await find('windsor');
  await shows(/meant last time/);
  await find('windsor\n');
  await bench.waitFor(async () => (await chosen()) === 'Windsor, third path', 'the answer was forgotten');
  const { rows } = (await (await fetch(`${screen.app.address}/api/clients`)).json()) as { rows: { meansWindsor: string | null }[] };
  assert.deepEqual(
    rows.flatMap(({ meansWindsor }) => meansWindsor ?? []),
    ['Li Co Li Ro Ci Lo Ri Co T'],
    'the answer belongs to the client on the bench',
  );
});

test('the other families are laid out too: an open front has no tuck, the narrow end sets the blade', async () => {
  const { bench } = screen;
  await (await bench.one('//label[normalize-space()="open front"]')).click();
  await shows(/170 of 170 knots/);
  await find('plain panel\n');
  await bench.waitFor(async () => (await chosen()) === 'plain panel', 'not found');
  await (await bench.one('//label[normalize-space()="narrow end"]')).click();
  await shows(/254 of 254 knots/);
  await shows(/Blade’s tip at/);
  await find('Li Ro Li Co Ri Lo Ci Ro Li Co T\n');
  await bench.waitFor(async () => (await chosen()) === 'triple Windsor', 'a longer word was not laid out besides');
  await shows(/86 knots/);
});

test('the page of a knot tied with the narrow end says how, what it needs, and what shows of it', async () => {
  const { bench } = screen;
  await bench.open('/knots/n8.15-6');
  await shows(/The blade is set to its length first/);
  await shows(/with the narrow end/);
  await shows(/loosely across the front/);
  await shows(/It wants a cloth with texture/);
  await shows(/On its face shows the band of move \d \(\d+ %\)/);
});

test('one’s own word: a legal one is drawn, an illegal one says what is wrong and offers the nearest', async () => {
  const { bench } = screen;
  await find('across the front, behind, across the front, up and out through the throat\n');
  await bench.waitFor(async () => (await chosen()) === 'four-in-hand', 'manoeuvres were not read');
  await find('Li Ro Li Ro');
  await shows(/Move 4 must be Co/);
  await (await bench.one('//div[@role="status"]//button[contains(., "Li Ro Li Co T")]')).click();
  await bench.waitFor(async () => (await chosen()) === 'four-in-hand', 'the nearest was not taken');
});

test('the list says the same as the field, in the order asked for', async () => {
  const { bench, driver } = screen;
  await (await bench.one('//label[normalize-space()="list"]')).click();
  const figures = async () =>
    Promise.all((await driver.findElements(By.css('tbody tr td:nth-of-type(6)'))).map(async (cell) => Number(await cell.getText())));
  assert.equal((await figures()).length, 85);
  await (await bench.one('//th/button[normalize-space()="moves"]')).click();
  const moves = await figures();
  assert.deepEqual(
    moves,
    moves.toSorted((a, b) => a - b),
  );
});

test('a knot’s page, its neighbours, and the way to the bench', async () => {
  const { bench, driver } = screen;
  await find('half-Windsor, releasing sister\n');
  await (await bench.one('//a[normalize-space()="All about it"]')).click();
  await shows(/Falls open when the narrow end is drawn out/);
  await shows(/facing him, blade on his right\s*Ri Lo Ci Lo Ri Co T/);
  await (await bench.one('//button[starts-with(normalize-space(), "fewer moves")]')).click();
  await bench.waitFor(async () => !/releasing sister/.test(await (await bench.one('//h1')).getText()), 'the same knot');
  const word = /in his mirror, blade on his right\s*(\S.*T)/.exec(await bench.body())?.[1];
  await (await bench.button('To the bench')).click();
  await bench.one(`//*[@role="option"][@data-knot="${word}"][@aria-selected="true"]`);
  assert.equal((await driver.getCurrentUrl()).endsWith('/'), true);
});

test('knots laid aside are compared on the same collar, in words', async () => {
  const { bench } = screen;
  for (const name of ['four-in-hand', 'Windsor, third path']) {
    await find(`${name}\n`);
    await bench.waitFor(async () => (await chosen()) === name, `not ${name}`);
    await (await bench.button('To compare')).click();
  }
  await (await bench.one('//a[normalize-space()="Compare these 2"]')).click();
  await shows(/wider at the top[\s\S]*four moves more/);
  assert.equal((await screen.driver.findElements(By.css('[aria-label^="Close-up of collar and knot"]'))).length, 2);
  await screen.driver.get(`${screen.app.address}/knots/compare`);
  await shows(/Lay two to four knots aside/);
});

test('a knot without a name is named for the studio, and found by that name', async () => {
  const { bench } = screen;
  await find('Lo Ri Lo Ri Lo Ri Co\n');
  await bench.waitFor(async () => /^knot 7\./.test(await chosen()), 'not found');
  await (await bench.one('//a[normalize-space()="Name it"]')).click();
  await bench.type('Name', 'Tar rope');
  assert.equal(await bench.value('Knot'), 'Lo Ri Lo Ri Lo Ri Co T');
  await (await bench.button('Save')).click();
  await bench.waitFor(async () => /\/namings\/[0-9a-f-]{36}$/.test(await screen.driver.getCurrentUrl()), 'not kept');
  await screen.driver.get(`${screen.app.address}/knots`);
  await shows(/85 of 85 knots/);
  await find('tar rope\n');
  await bench.waitFor(async () => (await chosen()) === 'Tar rope', 'not called so');
  await find('lamplighter\n');
  await bench.waitFor(async () => (await chosen()) === 'Lamplighter', 'the demo studio’s own name');
});
