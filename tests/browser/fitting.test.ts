import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import { formatKnot, parseKnot } from '../../src/core/index.ts';
import { openScreen } from '../support/screen.ts';

const screen = openScreen();
beforeEach(async () => {
  await screen.startAfresh();
});

test('a client’s collar changed from point to cutaway: the first pick becomes a larger knot', async () => {
  const { bench } = screen;
  await bench.choose('Client', 'Tobiah');
  await bench.choose('Shirt', 'point');
  const small = await bench.firstPick();
  const start = await bench.start();
  await bench.choose('Shirt', 'House white, cutaway');
  await bench.waitFor(async () => (await bench.firstPick()) !== small, 'the first pick stayed');
  const large = await bench.firstPick();
  assert.ok(parseKnot(large).moves.length > parseKnot(small).moves.length, `${small} became ${large}`);
  assert.notEqual(await bench.start(), start);
  assert.equal(await bench.chosenKnot(), 'Windsor');
});

test('a measure typed in moves everything, and can be undone and done again', async () => {
  const { bench, driver } = screen;
  await bench.choose('Client', 'Tobiah');
  await (await bench.one('//*[@data-knot="Li Ro Li Co T"]')).click();
  await bench.waitFor(async () => (await bench.chosenKnot()) === 'four-in-hand', 'not chosen');
  const before = await bench.start();
  await bench.type('Front drop', '48');
  await bench.waitFor(async () => (await bench.start()) !== before, 'the start stayed');
  const changed = await bench.start();
  assert.ok(Number.parseFloat(changed) < Number.parseFloat(before), 'a longer drop asks for a higher narrow tip');
  assert.match(await bench.body(), /on record: 45\.5/);
  await driver.sleep(600);
  await (await bench.button('Undo (Ctrl + Z)')).click();
  await bench.waitFor(async () => (await bench.start()) === before, 'not undone');
  assert.equal(await bench.value('Front drop'), '45.5');
  await (await bench.button('Redo (Ctrl + Shift + Z)')).click();
  await bench.waitFor(async () => (await bench.start()) === changed, 'not done again');
});

test('an empty front drop is supposed from height, and said to be', async () => {
  const { bench } = screen;
  await bench.choose('Client', 'Tobiah');
  await bench.type('Front drop', '');
  await bench.waitFor(async () => /supposed from height: 45\.4 cm/.test(await bench.body()), 'no word of it');
});

test('what is no measure is kept as typed, with what is wrong and without a save', async () => {
  const { bench } = screen;
  await bench.choose('Client', 'Tobiah');
  await bench.turnTo('Tie');
  await bench.type('Blade', 'broad');
  await bench.type('Length', '0.3');
  const body = await bench.body();
  assert.match(body, /Blade is not a length: “broad”\. It runs from 2\.5 cm to 13 cm\./);
  assert.match(body, /Length cannot be 0\.3 cm\./);
  assert.equal(await bench.value('Blade'), 'broad');
  assert.equal(await (await bench.button('Save fitting')).isEnabled(), false);
  await bench.turnTo('Client');
  await bench.turnTo('Tie');
  assert.equal(await bench.value('Blade'), 'broad');
});

test('measures that contradict each other are told where they stand', async () => {
  const { bench } = screen;
  await bench.choose('Client', 'Tobiah');
  await bench.turnTo('Shirt');
  await bench.type('Tip to tip', '17');
  await bench.waitFor(async () => /The points cannot be 17 cm apart/.test(await bench.body()), 'no word of it');
});

test('inches: read, typed and spoken', async () => {
  const { bench } = screen;
  await bench.choose('Client', 'Tobiah');
  await bench.press('u');
  await bench.waitFor(async () => (await bench.start()).endsWith('in'), 'still centimetres');
  assert.equal(await bench.value('Front drop'), '17 7/8');
  await (await bench.field('Front drop')).sendKeys(Key.ARROW_UP);
  await bench.waitFor(async () => (await bench.value('Front drop')) === '18', 'an eighth more');
  await bench.type('Front drop', '18 1/4');
  await bench.turnTo('Client');
  await bench.press('u');
  await bench.waitFor(async () => (await bench.value('Front drop')) === '46.4', 'not 46.4 cm');
});

test('keys: next knot, mirror, hung, measures; none of them while typing', async () => {
  const { bench } = screen;
  await bench.choose('Client', 'Tobiah');
  const first = await bench.chosenKnot();
  await (await bench.one('//h2')).click();
  await bench.press('n');
  await bench.waitFor(async () => (await bench.chosenKnot()) !== first, 'the same knot');
  await bench.press('p');
  await bench.waitFor(async () => (await bench.chosenKnot()) === first, 'not back');
  await bench.press('4');
  await bench.field('Blade');
  await bench.press('h');
  await bench.one('//*[starts-with(@aria-label, "Front view, before tying")]');
  await bench.press('v');
  await bench.waitFor(async () => /as seen in his mirror/.test(await bench.body()), 'not mirrored');
  await bench.type('Blade', 'n');
  assert.equal(await bench.chosenKnot(), first);
  assert.equal(await bench.value('Blade'), 'n');
});

test('in the client’s mirror the letters are his own, facing him they change sides', async () => {
  const { bench } = screen;
  await bench.choose('Client', 'Tobiah');
  const word = await bench.firstPick();
  const shown = async () => (await bench.one('//*[@role="option"][@data-rank="1"]')).getText();
  assert.ok((await shown()).includes(formatKnot(parseKnot(word), { view: 'facing', blade: 'right' })));
  await (await bench.one('//h2')).click();
  await bench.press('v');
  await bench.waitFor(async () => (await shown()).includes(word), 'not his own');
});

test('a handle of the drawing moves its measure, by keys and by dragging', async () => {
  const { bench, driver } = screen;
  await bench.choose('Client', 'Tobiah');
  const handle = await bench.one('//*[@role="slider"][@aria-label="Front drop"]');
  assert.equal(await handle.getAttribute('aria-valuetext'), '45.5 cm');
  await handle.sendKeys(Key.ARROW_DOWN);
  await bench.waitFor(async () => (await bench.value('Front drop')) === '45.6', 'a millimetre lower by key');
  await driver.actions().dragAndDrop(handle, { x: 0, y: 40 }).perform();
  await bench.waitFor(async () => Number(await bench.value('Front drop')) > 47, 'lower by dragging');
});

test('a knot that cannot be worn says why, and is not saved', async () => {
  const { bench } = screen;
  await bench.choose('Client', 'Pell');
  const body = await bench.body();
  assert.match(body, /This knot cannot be set/);
  assert.match(body, /No knot here uses up this tie: the narrow end shows below the blade by at least/);
  assert.equal(await (await bench.button('Save fitting')).isEnabled(), false);
});

test('a reload loses nothing that was set', async () => {
  const { bench } = screen;
  await bench.choose('Client', 'Edrin');
  await bench.turnTo('Jacket');
  await bench.type('Lapel width', '9.1');
  await bench.waitFor(async () => /on record: 8\.4/.test(await bench.body()), 'not taken');
  await bench.open();
  await bench.turnTo('Jacket');
  assert.equal(await bench.value('Lapel width'), '9.1');
});

test('every control has a name, and the drawings say what they show', async () => {
  const { bench, driver } = screen;
  await bench.choose('Client', 'Tobiah');
  const nameless = await driver.executeScript<string[]>(`
    const named = (e) => e.getAttribute('aria-label') || e.getAttribute('aria-labelledby') || e.labels?.length || e.textContent.trim() || e.title;
    return [...document.querySelectorAll('button, a, input, select, [role=slider], [role=group], [role=option]')]
      .filter((e) => !e.closest('[aria-hidden=true], [hidden]') && e.getClientRects().length > 0 && !named(e))
      .map((e) => e.outerHTML.slice(0, 120));`);
  assert.deepEqual(nameless, []);
  const drawings = await driver.findElements(By.css('svg[role=group]'));
  const labels = (await Promise.all(drawings.map((drawing) => drawing.getAttribute('aria-label')))).map(String);
  assert.ok(labels.some((label) => /^Front view, tied: the tip ends 45\.5 cm below the collar button/.test(label)));
  assert.ok(labels.some((label) => /^Close-up of collar and knot/.test(label)));
  assert.ok(labels.some((label) => /^The tie laid flat/.test(label)));
});

test('a chooser is left by Escape, or by pressing something else, without a choice', async () => {
  const { bench, driver } = screen;
  await bench.choose('Client', 'Tobiah');
  const options = async () => (await driver.findElements(By.css('[role=option]:not([data-rank])'))).length;
  const open = async () => {
    await (await bench.one('//span[normalize-space()="Shirt"]/following-sibling::button')).click();
    await bench.waitFor(async () => (await options()) > 0, 'not opened');
  };
  await open();
  await bench.press(Key.ESCAPE);
  await bench.waitFor(async () => (await options()) === 0, 'Escape did not close it');
  await open();
  await bench.turnTo('Tie');
  await bench.waitFor(async () => (await options()) === 0, 'pressing elsewhere did not close it');
  assert.match(await bench.body(), /White poplin/);
});

test('a knot tied with the narrow end sets the blade, and is saved and opened as such', async () => {
  const { bench } = screen;
  await bench.open();
  await (await bench.one('//select[@aria-label="Family of knots"]/option[normalize-space()="narrow end"]')).click();
  await bench.waitFor(async () => /Hang the blade/.test(await bench.body()), 'the blade is not the end to set');
  assert.match(await bench.chosenKnot(), /^narrow-end /);
  assert.match(await bench.body(), /under the collar/);
  const start = await bench.start();
  await (await bench.button('Save fitting')).click();
  await bench.waitFor(async () => /saved/i.test(await bench.status()), 'not saved');
  const [latest] = (await (await fetch(`${screen.app.address}/api/fittings`)).json()) as { id: string; knot: string }[];
  assert.match(latest?.knot ?? '', /^N /);
  await bench.open(`/fittings/${latest?.id}`);
  await bench.waitFor(async () => (await bench.start()) === start, 'opened with another start');
  assert.match(await bench.body(), /Hang the blade/);
});
