import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import { formatKnot, parseKnot } from '../../src/core/index.ts';
import { openScreen } from '../support/screen.ts';

const screen = openScreen();
beforeEach(async () => {
  await screen.startAfresh();
});

test('a client’s collar changed from point to cutaway: the best match becomes a larger knot', async () => {
  const { page } = screen;
  await page.choose('Client', 'Tobiah');
  await page.choose('Shirt', 'point');
  const small = await page.firstPick();
  const start = await page.start();
  await page.choose('Shirt', 'House white, cutaway');
  await page.waitFor(async () => (await page.firstPick()) !== small, 'the best match stayed');
  const large = await page.firstPick();
  assert.ok(parseKnot(large).moves.length > parseKnot(small).moves.length, `${small} became ${large}`);
  assert.notEqual(await page.start(), start);
  await page.reads(() => page.chosenKnot(), /Windsor/);
});

test('a measure typed in moves everything, and can be undone and done again', async () => {
  const { page } = screen;
  await page.choose('Client', 'Tobiah');
  await (await page.one('//*[@data-knot="Li Ro Li Co T"]//label')).click();
  await page.waitFor(async () => (await page.chosenKnot()) === 'Four-in-hand', 'not chosen');
  const before = await page.start();
  await page.type('Collar button to belt', '48');
  await page.waitFor(
    async () => Number.parseFloat(await page.start()) < Number.parseFloat(before) - 1,
    'a longer drop asks for a higher tail tip',
  );
  const changed = await page.start();
  await page.reads(() => page.body(), /On record: 45\.5/);
  await (await page.button('Undo (Ctrl + Z)')).click();
  await page.waitFor(async () => (await page.start()) === before, 'not undone');
  await page.reads(() => page.value('Collar button to belt'), '45.5');
  await (await page.button('Redo (Ctrl + Shift + Z)')).click();
  await page.waitFor(async () => (await page.start()) === changed, 'not done again');
});

test('an empty measure is estimated from height, and said to be', async () => {
  const { page } = screen;
  await page.choose('Client', 'Tobiah');
  await page.type('Collar button to belt', '');
  await page.waitFor(
    async () =>
      /is estimated from height: 45\.4 cm/.test(await page.body()) &&
      (await (await page.field('Collar button to belt')).getAttribute('placeholder')) === '≈ 45.4',
    'no word of it',
  );
});

test('what is no measure is kept as typed, with what is wrong and without a save', async () => {
  const { page } = screen;
  await page.choose('Client', 'Tobiah');
  await page.turnTo('Tie');
  await page.type('Blade', 'broad');
  await page.type('Length', '0.3');
  for (const said of [/Blade is not a length: “broad”\. Allowed: 2\.5–13 cm\./, /Length can’t be 0\.3 cm\./])
    await page.waitFor(async () => said.test(await page.body()), `nothing says ${said}`);
  await page.reads(() => page.value('Blade'), 'broad');
  await screen.page.reads(async () => (await page.button('Save fitting')).isEnabled(), false);
  await page.turnTo('Client');
  await page.turnTo('Tie');
  await page.reads(() => page.value('Blade'), 'broad');
});

test('measures that contradict each other are told where they stand', async () => {
  const { page } = screen;
  await page.choose('Client', 'Tobiah');
  await page.turnTo('Shirt');
  await page.type('Collar spread (point to point)', '17');
  await page.waitFor(async () => /Collar spread 17 cm is too wide/.test(await page.body()), 'no word of it');
});

test('inches: read, typed and spoken', async () => {
  const { page } = screen;
  await page.choose('Client', 'Tobiah');
  await page.press('u');
  await page.waitFor(async () => (await page.start()).endsWith('in'), 'still centimetres');
  await page.reads(() => page.value('Collar button to belt'), '17 7/8');
  await (await page.field('Collar button to belt')).sendKeys(Key.ARROW_UP);
  await page.waitFor(async () => (await page.value('Collar button to belt')) === '18', 'an eighth more');
  await page.type('Collar button to belt', '18 1/4');
  await page.turnTo('Client');
  await page.press('u');
  await page.waitFor(async () => (await page.value('Collar button to belt')) === '46.4', 'not 46.4 cm');
});

test('keys: next knot, mirror, measures; none of them while typing', async () => {
  const { page } = screen;
  await page.choose('Client', 'Tobiah');
  const first = await page.chosenKnot();
  await (await page.one('//h2')).click();
  await page.press('n');
  await page.waitFor(async () => (await page.chosenKnot()) !== first, 'the same knot');
  await page.press('p');
  await page.waitFor(async () => (await page.chosenKnot()) === first, 'not back');
  await page.press('4');
  await page.field('Blade');
  await page.press('v');
  await page.waitFor(async () => /Wearer’s mirror, blade on the wearer’s/.test(await page.body()), 'not mirrored');
  await page.type('Blade', 'n');
  await page.reads(() => page.chosenKnot(), first);
  await page.reads(() => page.value('Blade'), 'n');
});

test('in the wearer’s mirror the letters are the wearer’s own, facing the client they change sides', async () => {
  const { page } = screen;
  await page.choose('Client', 'Tobiah');
  const word = await page.firstPick();
  const shown = async () => (await page.one('//section[@aria-label="Collar and knot"]')).getText();
  assert.ok((await shown()).includes(formatKnot(parseKnot(word), { view: 'facing', blade: 'right' })));
  await (await page.one('//h2')).click();
  await page.press('v');
  await page.waitFor(async () => (await shown()).includes(word), 'not the wearer’s own');
});

test('a handle of the drawing moves its measure, by keys and by dragging', async () => {
  const { page, driver } = screen;
  await page.choose('Client', 'Tobiah');
  const handle = await page.one('//*[@role="slider"][@aria-label="Collar button to belt"]');
  assert.equal(await handle.getAttribute('aria-valuetext'), '45.5 cm');
  await handle.sendKeys(Key.ARROW_DOWN);
  await page.waitFor(async () => (await page.value('Collar button to belt')) === '45.6', 'a millimetre lower by key');
  await driver.actions().dragAndDrop(handle, { x: 0, y: 40 }).perform();
  await page.waitFor(async () => Number(await page.value('Collar button to belt')) > 47, 'lower by dragging');
});

test('a knot that cannot be worn says why, and is not saved', async () => {
  const { page } = screen;
  await page.choose('Client', 'Pell');
  for (const said of [/Won’t work/, /No knot here takes up enough of this tie: the tail would hang too low by at least/])
    await page.waitFor(async () => said.test(await page.body()), `nothing says ${said}`);
  await screen.page.reads(async () => (await page.button('Save fitting')).isEnabled(), false);
});

test('a reload loses nothing that was set', async () => {
  const { page } = screen;
  await page.choose('Client', 'Edrin');
  await page.turnTo('Jacket');
  await page.type('Lapel width', '9.1');
  await page.waitFor(async () => /On record: 8\.4/.test(await page.body()), 'not taken');
  await page.open();
  await page.turnTo('Jacket');
  await page.reads(() => page.value('Lapel width'), '9.1');
});

test('every control has a name, and the drawings say what they show', async () => {
  const { page, driver } = screen;
  await page.choose('Client', 'Tobiah');
  const nameless = await driver.executeScript<string[]>(`
    const named = (e) => e.getAttribute('aria-label') || e.getAttribute('aria-labelledby') || e.labels?.length || e.textContent.trim() || e.title;
    return [...document.querySelectorAll('button, a, input, select, [role=slider], [role=group], [role=option]')]
      .filter((e) => !e.closest('[aria-hidden=true], [hidden]') && e.getClientRects().length > 0 && !named(e))
      .map((e) => e.outerHTML.slice(0, 120));`);
  assert.deepEqual(nameless, []);
  const drawn = async () => {
    const drawings = await driver.findElements(By.css('svg[role=group]'));
    return (await Promise.all(drawings.map((drawing) => drawing.getAttribute('aria-label')))).map(String);
  };
  const labels = await drawn();
  assert.ok(labels.some((label) => /^Front view, tied: the blade tip should end 4[45](\.5)? cm below the collar button/.test(label)));
  assert.ok(labels.some((label) => /^Close-up of collar and knot/.test(label)));
  await page.press('S');
  await page.waitFor(async () => (await drawn()).some((label) => /^The tie laid flat/.test(label)), 'the tie is not laid flat');
  await page.waitFor(async () => (await drawn()).some((label) => /before tying, ends crossed/.test(label)), 'it is not hung');
  await page.press('h');
  await page.waitFor(async () => (await drawn()).some((label) => /before tying, snug/.test(label)), 'it is not snug');
});

test('a chooser is left by Escape, or by pressing something else, without a choice', async () => {
  const { page, driver } = screen;
  await page.choose('Client', 'Tobiah');
  const options = async () => (await driver.findElements(By.css('[role=option]'))).length;
  const open = async () => {
    await (
      await page.one(
        '//button[span[normalize-space()="Shirt:"]] | //span[normalize-space()="Shirt"]/following-sibling::button | //label[normalize-space()="Shirt"]/following-sibling::button',
      )
    ).click();
    await page.waitFor(async () => (await options()) > 0, 'not opened');
  };
  await open();
  await page.press(Key.ESCAPE);
  await page.waitFor(async () => (await options()) === 0, 'Escape did not close it');
  await open();
  await page.turnTo('Tie');
  await page.waitFor(async () => (await options()) === 0, 'pressing elsewhere did not close it');
  await page.reads(() => page.body(), /White poplin/);
});

test('a knot tied with the tail sets the blade, and is saved and opened as such', async () => {
  const { page } = screen;
  await page.open();
  await (await page.one('//select[@aria-label="Family of knots"]/option[normalize-space()="tail ties"]')).click();
  await page.waitFor(async () => /blade tip below the collar button/.test(await page.body()), 'the blade is not the end to set');
  await page.reads(() => page.chosenKnot(), /tail ties/);
  await page.reads(() => page.body(), /under the collar/);
  const start = await page.start();
  await (await page.button('Save fitting')).click();
  await page.waitFor(async () => /saved/i.test(await page.status()), 'not saved');
  const { rows } = (await (await fetch(`${screen.app.address}/api/fittings`)).json()) as { rows: { id: string; knot: string }[] };
  const [latest] = rows;
  assert.match(latest?.knot ?? '', /^N /);
  await page.open(`/fittings/${latest?.id}`);
  await page.waitFor(async () => (await page.start()) === start, 'opened with another start');
  await page.reads(() => page.body(), /blade tip below the collar button/);
});
