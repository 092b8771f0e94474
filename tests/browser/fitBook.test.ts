import assert from 'node:assert/strict';
import { test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import type { FittingSummary } from '../../src/contract/fitting.ts';
import type { Page, TyingRecord } from '../../src/contract/records/records.ts';
import { openScreen } from '../support/screen.ts';

const screen = openScreen(undefined, { taught: true });

const stage = async (name: string) =>
  (await screen.page.one(`//nav[@aria-label="Stages of the fitting"]//button[contains(., "${name}")]`)).click();
const shows = (what: RegExp) => screen.page.waitFor(async () => what.test(await screen.page.body()), `nothing says ${what}`);
const start = async () =>
  Number.parseFloat((await (await screen.page.one('//*[@data-testid="start-exact"]')).getAttribute('textContent')) ?? '');
const fourInHand = async () => (await screen.page.one('//*[@data-knot="Li Ro Li Co T"]//label')).click();

test('from the choice through the tying to the check, which is kept; the next plan has moved', async () => {
  const { page, driver, app } = screen;
  await page.go('/');
  await page.choose('Client', 'Tobiah');
  await page.choose('Tie', 'Guild stripe');
  await fourInHand();
  await stage('Set');
  const before = await start();
  await shows(/the fit book|this tie has taken up|takes up \d+%|tips end/i);
  await stage('Tie');
  await shows(/step 1/i);
  await driver.actions().sendKeys(Key.ARROW_RIGHT).perform();
  await stage('Check');
  await screen.page.reads(async () => (await page.button('Keep this check')).isEnabled(), false, 'nothing was seen yet');
  await (await page.one('//label[.="The blade tip ended"]/following-sibling::input')).sendKeys('4.5');
  await (await page.one('//label[normalize-space()="below it"]')).click();
  await shows(/too low/);
  await (await page.one('//*[@role="group"][@aria-label="Dimple"]//button[.="none"]')).click();
  await shows(/Lay the fold before tightening/);
  const next = async () => Number.parseFloat(await (await page.one('//*[@data-testid="next-start"]')).getText());
  const wanted = await next();
  await (await page.button('The rest is in order')).click();
  await (await page.button('Keep this check')).click();
  await shows(/Kept: 4\.5 cm below the belt top, 1 finding/);
  await shows(/Next time set the tail tip at/);
  assert.ok(Math.abs((await next()) - wanted) <= 0.5, 'on record, the same tying is counted twice');
  await driver.navigate().refresh();
  await page.alive();
  await shows(/Kept: 4\.5 cm below the belt top, 1 finding/);
  assert.ok(Math.abs((await next()) - wanted) <= 0.5, 'counted twice after a reload');
  const { rows }: Page<FittingSummary> = await (await fetch(`${app.address}/api/fittings`)).json();
  const kept: TyingRecord = await (await fetch(`${app.address}/api/tyings/${rows[0]?.id}`)).json();
  assert.deepEqual([kept.tipOffMm, kept.findings, kept.counts], [45, ['no-dimple'], true]);
  await page.go('/');
  await page.choose('Client', 'Osric');
  await page.choose('Client', 'Tobiah');
  await page.choose('Tie', 'Guild stripe');
  await fourInHand();
  await stage('Set');
  await page.waitFor(async () => (await start()) > before + 0.5, `the tail starts no lower than ${before}`);
  const taught = await start();
  await (await page.button('See it without the fit book')).click();
  await shows(/Without the fit book/);
  assert.notEqual(await start(), taught);
});

test('the tip is far off: asked about once, kept all the same when it is confirmed', async () => {
  const { page } = screen;
  await page.go('/?stage=check');
  await (await page.one('//label[.="The blade tip ended"]/following-sibling::input')).sendKeys('34');
  await (await page.one('//label[normalize-space()="below it"]')).click();
  await (await page.button('Keep this check')).click();
  await shows(/further off than any knot comes out/);
  await (await page.button('Keep it all the same')).click();
  await shows(/Kept: 34 cm below the belt top/);
  await page.go('/fittings/learnt');
  await shows(/Hardly counted/);
});

test('a saved fitting that nobody checked says so, and is checked afterwards without becoming another one', async () => {
  const { page, app } = screen;
  await page.go('/fittings');
  const total = /(\d+) fittings/.exec(await page.body())?.[1];
  await (await page.one('//label[contains(., "Show")]/select/option[.="not checked yet"]')).click();
  await (await page.one('//tr[contains(., "Corvane")]//a[.="Not checked yet"]')).click();
  await page.alive();
  await (await page.button('Exactly as aimed')).click();
  await (await page.button('All in order')).click();
  await (await page.button('Keep this check')).click();
  await shows(/Kept: /);
  const all: Page<FittingSummary> = await (await fetch(`${app.address}/api/fittings`)).json();
  assert.equal(all.total, Number(total));
  await (await page.one('//a[.="Correct it"]')).click();
  await page.alive();
  await (await page.one('//legend[.="Learn from it"]/following::label[normalize-space()="no"]')).click();
  await (await page.button('Save')).click();
  await shows(/Before it was corrected/);
});

test('one minute at a stand: what would teach most stands there, three lengths, and it is known', async () => {
  const { page, driver } = screen;
  await page.go('/fittings/stand');
  await shows(/Teaches most now:/);
  const fields = await driver.findElements(By.css('main form input'));
  const [around, blade, tail] = fields.slice(-3);
  assert.ok(around && blade && tail);
  await around.sendKeys('41');
  await blade.sendKeys('20');
  await tail.sendKeys('10');
  await shows(/read the three lengths again/);
  await (await page.one('//label[starts-with(., "Knot")]/select/option[.="Four-in-hand"]')).click();
  const lengthCm = Number(/\(([\d.]+) cm\)/.exec(await (await page.one('//label[starts-with(., "Tie")]/select/option[1]')).getText())?.[1]);
  await (await page.one('//label[starts-with(., "Tie")]/select/option[1]')).click();
  await blade.sendKeys(Key.chord(Key.CONTROL, 'a'), `${lengthCm - 41 - 38 - 18}`);
  await tail.sendKeys(Key.chord(Key.CONTROL, 'a'), '38');
  await shows(/It took up \d/);
  await (await page.button('Keep what it took up')).click();
  await shows(/Kept\.\s+Look at it/);
});
