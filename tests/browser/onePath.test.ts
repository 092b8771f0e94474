import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import type { ClientRecord, Page } from '../../src/contract/records/records.ts';
import { openScreen } from '../support/screen.ts';

const screen = openScreen();
beforeEach(() => screen.forget());

const shows = (what: RegExp) => screen.page.waitFor(async () => what.test(await screen.page.body()), `nothing says ${what}`);
const kept = async (name: string): Promise<ClientRecord | undefined> => {
  const found: Page<ClientRecord> = await (await fetch(`${screen.app.address}/api/clients?find=${encodeURIComponent(name)}`)).json();
  return found.rows[0];
};
const stage = (name: string) => screen.page.one(`//nav[@aria-label="Stages of the fitting"]//button[contains(., "${name}")]`);
const address = async () => new URL(await screen.driver.getCurrentUrl());
const says = (key: string, value: string | null) =>
  screen.page.waitFor(async () => (await address()).searchParams.get(key) === value, `the address does not say ${key}=${value}`);

/** Asks for a new client, as a hand does: two presses. */
async function newClient(): Promise<void> {
  await (await screen.page.one('//button[span[normalize-space()="Client:"]]')).click();
  await (await screen.page.one('//*[@role="option"][contains(., "New client")]')).click();
  await screen.page.one('//dialog//input');
}

test('from the door to a choice: a stranger is dressed and has a knot in at most twelve actions on one page', async () => {
  const { page } = screen;
  await page.open();
  let actions = 0;
  const act = async (what: () => Promise<unknown>) => {
    actions += 1;
    await what();
  };
  await newClient();
  actions += 2;
  await act(() => page.type('Name', 'Rowan Tidewell'));
  await act(() => page.type('Height', '183'));
  await act(() => page.type('Collar size', '41'));
  await act(async () => (await page.one('//dialog//option[normalize-space()="Navy jacket"]')).click());
  await act(async () => (await page.button('Add client')).click());
  await shows(/Rowan Tidewell/);
  await act(async () => (await page.one('//*[@data-knot="Li Ro Li Co T"]//label')).click());
  await says('knot', 'Li-Ro-Li-Co-T');
  assert.ok(actions <= 12, `${actions} actions`);
  assert.equal((await address()).pathname, '/');
  await shows(/White semi-spread shirt\s*draft/);
  const client = await kept('Rowan Tidewell');
  assert.deepEqual(client?.measures.map(({ measure, mm }) => [measure, mm]).sort(), [
    ['heightMm', 1830],
    ['neckMm', 410],
  ]);
});

test('what is missing or no length is told where it stands, and nothing that was typed is lost', async () => {
  const { page, driver } = screen;
  await page.open();
  await newClient();
  await page.type('Height', 'tall');
  await (await page.button('Add client')).click();
  await shows(/Name is missing[\s\S]*Height is not a length: “tall”/);
  await page.reads(() => page.value('Height'), 'tall');
  await page.type('Name', 'Nobody Yet');
  await (await page.button('Cancel')).click();
  await page.waitFor(async () => (await driver.findElements(By.css('dialog[open]'))).length === 0, 'still open');
  assert.equal(await kept('Nobody Yet'), undefined);
});

test('a client with only a name can be fitted: what was never measured is estimated, and looks so', async () => {
  const { page, app } = screen;
  const id = randomUUID();
  const client = { ...kinds.clients.fresh, id, name: 'Only Aname' };
  await fetch(`${app.address}/api/clients`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(client),
  });
  await page.open(`/?client=${id}`);
  const field = await page.field('Height');
  assert.equal(await field.getAttribute('value'), '');
  assert.match((await field.getAttribute('placeholder')) ?? '', /≈ 178/);
  await shows(/White semi-spread shirt\s*draft/);
  await screen.page.reads(async () => (await screen.driver.findElements(By.css('[data-knot]'))).length > 7, true);
  await page.go('/knots');
  await shows(/knots/);
  await page.go('/choose-a-tie');
  await shows(/ties work with this outfit/);
});

test('a measure taken at the fitting is offered to the record, with its day', async () => {
  const { page } = screen;
  await screen.startAfresh('Osric');
  await page.type('Collar button to belt', '57.5');
  await (await page.one('//button[contains(@aria-label, "Keep 57.5 cm in the client’s record")]')).click();
  await page.waitFor(
    async () => (await kept('Osric'))?.measures.some(({ measure, mm }) => measure === 'frontDropMm' && mm === 575) === true,
    'not kept',
  );
  await page.waitFor(async () => !/On record/.test(await page.body()), 'still told as another than on record');
});

test('a shirt’s buttons are typed one after the other, as they are read off the tape', async () => {
  const { page } = screen;
  await screen.startAfresh('Tobiah');
  await page.turnTo('Shirt');
  const field = await page.one('//label[starts-with(normalize-space(), "Buttons below the collar")]/following::input[1]');
  await field.sendKeys(Key.chord(Key.CONTROL, 'a'), '7; 15,5; 24');
  assert.equal(await field.getAttribute('value'), '7; 15,5; 24');
  await says('shirt.buttonsMm', '70~155~240');
});

test('all that is set lives in the address: a reload loses neither it nor what can be undone, and whoever opens it sees the same', async () => {
  const { page, driver } = screen;
  await screen.startAfresh('Tobiah');
  await (await page.one('//*[@data-knot="Li Ro Ci Lo Ri Co T"]//label')).click();
  await says('knot', 'Li-Ro-Ci-Lo-Ri-Co-T');
  // By the drawing's handle: one press is one step, however slow the machine is.
  await (await page.one('//*[@role="slider"][@aria-label="Collar button to belt"]')).sendKeys(Key.PAGE_UP);
  await says('client.frontDropMm', '465');
  const start = await page.start();
  await driver.navigate().refresh();
  await page.alive();
  await page.waitFor(async () => (await page.start()) === start, 'another start after the reload');
  await page.waitFor(async () => (await page.button('Undo (Ctrl + Z)')).isEnabled(), 'nothing to undo after the reload');
  await (await page.button('Undo (Ctrl + Z)')).click();
  await page.waitFor(async () => (await page.value('Collar button to belt')) === '45.5', 'not undone after the reload');
  await (await page.button('Redo (Ctrl + Shift + Z)')).click();
  await says('client.frontDropMm', '465');
  const told = (await address()).href;
  await screen.forget();
  await driver.get(told);
  await page.alive();
  await page.reads(() => page.start(), start);
  await page.reads(() => page.chosenKnot(), 'Half-Windsor');
  await page.reads(() => page.value('Collar button to belt'), '46.5');
});

test('the stages are one path: each says what it has settled, the way back leads to the one before, and the moves go by keys', async () => {
  const { page, driver } = screen;
  await screen.startAfresh('Tobiah');
  await screen.page.reads(async () => (await stage('Set')).getText(), /tail tip \d+(\.5)? cm, crossed/);
  await (await stage('Set')).click();
  await shows(/Set the tail tip at/);
  await says('stage', 'set');
  await (await stage('Tie')).click();
  await shows(/Step 1 of/);
  await page.press('f');
  await shows(/Step 2 of/);
  await page.press('b');
  await shows(/Step 1 of/);
  await driver.navigate().back();
  await shows(/Set the tail tip at/);
  await driver.navigate().refresh();
  await page.alive();
  await shows(/Set the tail tip at/);
  await (await stage('Check')).click();
  await shows(/Not seen yet/);
  await (await page.button('Exactly as aimed')).click();
  await (await page.button('Keep this check')).click();
  await shows(/Kept: /);
  await screen.page.reads(async () => (await stage('Check')).getText(), /saved/);
});

test('figure, close-up and the tie along its length are taken away as files', async () => {
  const { page, driver } = screen;
  await screen.startAfresh('Tobiah');
  await driver.executeScript(`
    window.saved = [];
    HTMLAnchorElement.prototype.click = function () { window.saved.push(this.download); };`);
  const chosen = await page.chosenKnot();
  await (await page.button(`${chosen} on the collar: SVG`)).click();
  await (await page.button(`${chosen} on the collar: PNG`)).click();
  await (await stage('Set')).click();
  await (await page.button('Front: PNG')).click();
  await (await page.button('Tie: SVG')).click();
  await page.waitFor(async () => (await driver.executeScript<string[]>('return window.saved')).length === 4, 'not all were saved');
  assert.deepEqual(
    (await driver.executeScript<string[]>('return window.saved')).toSorted(),
    [`${chosen} on the collar.png`, `${chosen} on the collar.svg`, 'Front.png', 'Tie.svg'].toSorted(),
  );
});

test('given a knot, the ties that suit it; given the outfit, each tie with its knots; a tie is taken with its knot', async () => {
  const { page, driver } = screen;
  await screen.startAfresh('Tobiah');
  await (await page.one('//*[@data-knot="Li Ro Li Co T"]//label')).click();
  await (await page.one('//label[normalize-space()="this knot"]')).click();
  await says('given', 'knot');
  const ties = () => driver.findElements(By.css('[data-tie]'));
  await page.waitFor(async () => (await ties()).length > 2, 'no ties are judged');
  const judged = (await ties()).length;
  await (await page.one('//ul[@aria-label="Ties, best first"]/li[not(@data-now="true")][1]/button[1]')).click();
  await page.waitFor(async () => (await driver.findElements(By.css('[data-tie][data-now="true"]'))).length === 1, 'no tie was taken');
  await page.reads(() => page.chosenKnot(), 'Four-in-hand');
  await page.choose('Client', 'Osric');
  await page.reads(() => page.chosenKnot(), 'Four-in-hand', 'the knot that is held stays with another client');
  await (await page.one('//label[normalize-space()="the outfit"]')).click();
  await page.waitFor(async () => (await driver.findElements(By.css('[data-tie] button'))).length > judged * 2, 'no knots beside the ties');
});

test('what would make a knot right, how sure the first is, and from the quietest to the boldest', async () => {
  const { page, driver } = screen;
  await screen.startAfresh('Tobiah');
  await (await page.button('How sure is this?')).click();
  await shows(/stays first in so many of 2000 variations/);
  const handle = await page.one('//input[@aria-label="From the quietest knot to the boldest"]');
  const before = await page.chosenKnot();
  await driver.executeScript(
    `const range = arguments[0];
     Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(range, range.max);
     range.dispatchEvent(new Event('input', { bubbles: true }));`,
    handle,
  );
  await page.waitFor(async () => (await page.chosenKnot()) !== before, 'no bolder knot');
  await page.choose('Shirt', 'point');
  await (await page.one('//*[@data-knot="Li Co Ri Lo Ci Ro Li Co T"]//label')).click();
  await (await page.button('What would make it right?')).click();
  await shows(/(Any one of these|No single change)/);
});

test('another tie stands beside the one at hand, survives a reload, is told apart in words, and can be taken', async () => {
  const { page, driver } = screen;
  await page.open();
  await (await page.button('Side by side')).click();
  await shows(/Compared with/);
  await (await page.one('//label[normalize-space()="another tie"]')).click();
  await page.waitFor(async () => /^tie~/.test((await address()).searchParams.get('beside') ?? ''), 'the address says what stands beside');
  await shows(/blade [\d.]+ cm (wider|narrower)|thicker|thinner/);
  await driver.navigate().refresh();
  await page.alive();
  await shows(/Compared with/);
  const use = await page.one('//section[@aria-label="Side by side"]//button[starts-with(normalize-space(), "Use ")]');
  const taken = (await use.getText()).replace(/^Use /, '');
  await use.click();
  await page.waitFor(async () => (await driver.findElements(By.css('[aria-label="Side by side"]'))).length === 0, 'one stands alone again');
  await shows(new RegExp(taken.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')));
});

test('a stage that is pressed right after a change leaves that change in the address that is gone back to', async () => {
  const { driver } = screen;
  await screen.startAfresh('Tobiah');
  // Both within one moment, before the address was written.
  await driver.executeScript(`
    document.querySelector('[role=slider][aria-label="Collar button to belt"]').dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', bubbles: true }));
    setTimeout(() => document.querySelectorAll('nav[aria-label="Stages of the fitting"] button')[1].click());`);
  await says('stage', 'set');
  const changed = (await address()).searchParams.get('client.frontDropMm');
  assert.ok(changed);
  await driver.navigate().back();
  await says('stage', null);
  assert.equal((await address()).searchParams.get('client.frontDropMm'), changed);
});

test('an outfit that falls under a dress regulation brings its knot and aim, told with their day', async () => {
  const { page } = screen;
  await page.open();
  await page.choose('Client', 'Bram');
  await shows(
    /Supper stewards’ dress\s*, as of 1 March 2026: Four-in-hand, no dimple, tip anywhere on the buckle, tie solid, striped or neat\./,
  );
  await shows(/The service’s current regulation decides/);
  await page.reads(() => page.chosenKnot(), 'Four-in-hand');
  await page.choose('Shirt', 'White semi-spread shirt');
  await page.waitFor(async () => (await address()).searchParams.has('regulation'), 'the occasion ends with the shirt');
  await screen.driver.navigate().refresh();
  await page.alive();
  await shows(/Supper stewards’ dress\s*, as of/);
  await (await page.button('Not for this fitting')).click();
  await page.waitFor(async () => !/Supper stewards’ dress\s*, as of/.test(await page.body()), 'it is still prescribed');
  await page.go('/regulations/new');
  await page.type('Name', 'Pilots’ parade');
  await page.chord(Key.CONTROL, 's');
  await shows(/As of: enter a day, as year-month-day\./);
  await page.reads(() => page.value('Name'), 'Pilots’ parade', 'what was typed stays');
});
