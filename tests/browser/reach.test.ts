import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { afterEach, beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import { openScreen } from '../support/screen.ts';

const screen = openScreen(undefined, { taught: true });
beforeEach(() => screen.startAfresh());
afterEach(() => screen.driver.manage().window().setRect({ width: 1280, height: 900 }));

test('the keys are told, closed with Escape, and the single letters can be switched off', async () => {
  const { page, driver } = screen;
  await page.press('?');
  const dialog = await page.one('//dialog');
  assert.match(await dialog.getText(), /next knot in the ranking/);
  await (await page.one('//dialog//label[contains(., "Single-letter keys work")]')).click();
  await page.press(Key.ESCAPE);
  await page.waitFor(async () => (await driver.findElements(By.css('dialog[open]'))).length === 0, 'still open');
  const knot = await page.chosenKnot();
  await page.press('n');
  await page.reads(() => page.chosenKnot(), knot);
  await page.open();
  await page.press('n');
  await page.reads(() => page.chosenKnot(), knot, 'remembered on this device');
});

test('standing up with a tablet, the start is seen without scrolling', async () => {
  const { page, driver } = screen;
  await driver.manage().window().setRect({ width: 820, height: 1180 });
  const start = await page.one('//*[@data-testid="start"]');
  const { y, height } = await start.getRect();
  assert.ok(y + height < 900, `the start ends at ${y + height}`);
  const wide = await driver.executeScript<number>('return document.documentElement.scrollWidth - innerWidth');
  assert.ok(wide <= 0, `the page is ${wide} px too wide`);
});

/** Every view, with a record of each kind. */
async function views(): Promise<string[]> {
  const first = async (kind: string) => {
    const { rows } = await (await fetch(`${screen.app.address}/api/${kind}`)).json();
    return `/${kind}/${rows[0].id}`;
  };
  const kinds = ['people', 'regulations', 'clients', 'shirts', 'jackets', 'ties', 'squares', 'outfits', 'namings', 'tyings', 'cares'];
  return [
    '/',
    '/?stage=set',
    '/?stage=tie',
    '/?stage=check',
    '/knots',
    '/knots/4.1',
    '/knots/compare?of=4.1,6.2',
    '/people',
    '/clients',
    '/wardrobe',
    '/choose-a-tie',
    '/buying-brief',
    '/fittings',
    '/fittings/learnt',
    '/fittings/stand',
    '/import-export',
    ...(await Promise.all(kinds.map(first))),
  ];
}

/** Opens a view and waits until it has something to press. */
async function look(path: string): Promise<void> {
  await screen.page.go(path);
  await screen.page.one('//main//button | //main//input | //main//a');
}

const outsideOfThePage = `
  const scrolls = (e) => e && (getComputedStyle(e).overflowX === 'auto' || scrolls(e.parentElement));
  return [...document.querySelectorAll('body *')]
    .filter((e) => e.getClientRects().length > 0 && e.getBoundingClientRect().right > innerWidth + 1 && !e.closest('svg') && !scrolls(e))
    .map((e) => e.outerHTML.slice(0, 90));`;
const tooSmall = `
  return [...document.querySelectorAll('button, a, select, summary, input:not([type=radio], [type=checkbox], [type=file]), label:has(input[type=radio]), label:has(input[type=checkbox]), [role=tab], [role=option]')]
    .filter((e) => e.getClientRects().length > 0 && !e.closest('[aria-hidden=true]') && getComputedStyle(e).opacity !== '0' && getComputedStyle(e).display !== 'inline')
    .map((e) => [e, e.getBoundingClientRect()])
    .filter(([, box]) => box.width > 1 && box.height > 1 && (box.height < 24 || box.width < 24))
    .map(([e, box]) => e.outerHTML.slice(0, 80) + ' ' + box.width.toFixed(0) + '×' + box.height.toFixed(0));`;
/** The accessibility rules of WCAG 2.2 AA that a program can check. */
const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
/** Rows of long lists are made alike: the first of them stand for the rest. */
const alike = ['tbody > tr:nth-child(n+9)', 'li:nth-child(n+17)', '[role=option]:nth-child(n+17)', 'option:nth-child(n+5)'];
const askAxe = `
  const done = arguments[arguments.length - 1];
  axe.run({ include: [document], exclude: ${JSON.stringify(alike)} }, {
    runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
    resultTypes: ['violations'],
    selectors: false,
  })
    .then(({ violations }) => done(violations.map(({ id, nodes }) => id + ': ' + nodes.slice(0, 3).map(({ html }) => html.slice(0, 160)).join(' … '))));`;

test('in every view the rules of accessibility hold, targets are large enough for a finger, and on a phone nothing lies outside the page', async () => {
  const { driver } = screen;
  const found = (what: string) => driver.executeScript<string[]>(what);
  const wrong: string[] = [];
  for (const path of await views()) {
    await driver.manage().window().setRect({ width: 1280, height: 900 });
    await look(path);
    await driver.executeScript(axe);
    wrong.push(...(await driver.executeAsyncScript<string[]>(askAxe)).map((each) => `${path}: ${each}`));
    wrong.push(...(await found(tooSmall)).map((each) => `${path}: too small for a finger: ${each}`));
    await driver.manage().window().setRect({ width: 500, height: 900 });
    wrong.push(...(await found(outsideOfThePage)).map((each) => `${path}: outside of the page: ${each}`));
  }
  assert.deepEqual(wrong, []);
});

test('in a dark room, and read from two metres, the same rules hold; both are remembered', async () => {
  const { page, driver } = screen;
  await driver.manage().window().setRect({ width: 1280, height: 900 });
  await page.open();
  await page.press('d');
  await page.press('g');
  const wrong: string[] = [];
  for (const path of ['/', '/?stage=set', '/?stage=tie', '/clients', '/ties/new', '/knots', '/buying-brief', '/import-export', '/people']) {
    await look(path);
    const { light, figures } = await driver.executeScript<DOMStringMap>('return { ...document.documentElement.dataset }');
    assert.deepEqual([light, figures], ['dark', 'big'], path);
    await driver.executeScript(axe);
    wrong.push(...(await driver.executeAsyncScript<string[]>(askAxe)).map((each) => `${path}: ${each}`));
  }
  assert.deepEqual(wrong, []);
  await page.go('/?stage=set');
  const { height } = await (await page.one('//*[@data-testid="start"]')).getRect();
  assert.ok(height > 170, `the figure is ${height} px high`);
  await page.press('d');
  await page.press('g');
});

test('any command, knot or client is had by a few letters of its name', async () => {
  const { page, driver } = screen;
  await page.open();
  const command = async (letters: string) => {
    await page.chord(Key.CONTROL, 'k');
    const line = await page.one('//dialog//input');
    await page.waitFor(async () => driver.executeScript<boolean>('return document.activeElement === arguments[0]', line), 'not typed into');
    await line.sendKeys(letters);
    await page.one('//*[@cmdk-item and @aria-selected="true"]');
    await line.sendKeys(Key.ENTER);
    await page.waitFor(async () => (await driver.findElements(By.css('dialog[open]'))).length === 0, 'the dialog stays');
  };
  await command('st andrew');
  await page.waitFor(async () => /St Andrew/.test(await page.chosenKnot()), 'another knot');
  await command('stage: set');
  await page.waitFor(async () => /Set the tail tip at/.test(await page.body()), 'another stage');
  await page.chord(Key.CONTROL, 'k');
  const line = await page.one('//dialog//input');
  await line.sendKeys('zzzz');
  await page.waitFor(async () => /Nothing here is called that/.test(await page.body()), 'it says nothing of what is not there');
  await line.sendKeys(Key.ESCAPE);
});

test('the unit chosen at the fitting holds in the other views', async () => {
  const { page } = screen;
  await page.press('u');
  await screen.page.go(`/fittings`);
  await page.waitFor(async () => /\bin\s+tail tip/.test(await page.body()), 'not inches');
});

test('the card to take home is drawn as it goes on paper: the start as it is read, the moves in this view, and the cautions', async () => {
  const { page, driver } = screen;
  await page.choose('Client', 'Tobiah');
  const cards = () => driver.findElements(By.css('section[aria-hidden=true] h1'));
  assert.equal((await cards()).length, 0, 'on paper only');
  await driver.executeScript(`
    addEventListener('beforeprint', () => { window.onPaper = document.querySelector('section[aria-hidden=true]')?.textContent; });`);
  await driver.printPage({} as Parameters<typeof driver.printPage>[0]);
  const text = await driver.executeScript<string>('return window.onPaper');
  assert.match(text, /Ends crossed: set the tail tip at/);
  assert.match(text, /fold the tail/);
  assert.match(text, /Left and right: facing the client, blade on the wearer’s right/);
  assert.match(text, /Never tighter than one finger’s room/);
  await page.waitFor(async () => (await cards()).length === 0, 'it stays once it was printed');
});

test('from each view one reaches the others, and sees where one is', async () => {
  const { page, driver } = screen;
  for (const [name, path] of [
    ['Clients', '/clients'],
    ['Wardrobe', '/wardrobe'],
    ['Knots', '/knots'],
    ['Import and export', '/import-export'],
    ['Fit book', '/fittings'],
    ['Fitting', '/'],
  ] as const) {
    await (await page.one(`//nav//a[normalize-space()="${name}"]`)).click();
    await page.waitFor(async () => (await (await page.one('//*[@aria-current="page"]')).getText()) === name, `not at ${name}`);
    assert.equal(new URL(await driver.getCurrentUrl()).pathname, path);
  }
});

test('an address that is not there says so, with ways on', async () => {
  const { page } = screen;
  await screen.page.go(`/nowhere`);
  await page.reads(() => page.body(), /Page not found/);
  await page.one('//a[@href="/"]');
});
