import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import type { Kind, Page, RecordOf } from '../../src/contract/records/records.ts';
import { bitmap } from '../support/bitmap.ts';
import { openScreen } from '../support/screen.ts';

const screen = openScreen();
beforeEach(() => screen.forget());

const shows = (what: RegExp) => screen.page.waitFor(async () => what.test(await screen.page.body()), `nothing says ${what}`);
const kept = async <K extends Kind>(kind: K, word: string): Promise<RecordOf[K]> => {
  const found: Page<RecordOf[K]> = await (await fetch(`${screen.app.address}/api/${kind}?find=${encodeURIComponent(word)}`)).json();
  return found.rows[0]!;
};
const option = async (label: string, choice: string) =>
  (await screen.page.one(`//select[../label[normalize-space()="${label}"]]/option[normalize-space()="${choice}"]`)).click();

test('a jacket closed higher shows less of the front, and the drawing’s handles set what the fields say', async () => {
  const { page } = screen;
  await page.openRecord('jackets', 'plum');
  await shows(/shows 31\.5 cm of the front/);
  await (await page.one('//*[@role="slider"][@aria-label="Buttoning point"]')).sendKeys(Key.PAGE_UP);
  await shows(/shows 3[02]\.5 cm of the front/);
  const shown = Number(await page.value('Buttoning point'));
  assert.ok(shown === 30.5 || shown === 32.5);
  await page.type('Buttoning point', '');
  await shows(/The buttoning point is estimated from the belt/);
  await option('Worn', 'unbuttoned');
  await shows(/Unbuttoned, the whole tie shows/);
  await option('Lapel', 'shawl');
  await page.chord(Key.CONTROL, 's');
  await shows(/Saved\./);
  const jacket = await kept('jackets', 'plum');
  assert.deepEqual([jacket.buttoningMm, jacket.worn, jacket.lapelKind], [null, 'open', 'shawl']);
});

test('a square’s colours change which ties it goes with', async () => {
  const { page } = screen;
  await page.openRecord('squares', 'moss');
  await shows(/With the studio’s ties/);
  await shows(/Guild stripe[\s\S]*Picks up the tie’s colours|Picks up the tie’s colours[\s\S]*Guild stripe/);
  await page.importFile(
    'plain.bmp',
    bitmap(40, 40, () => [0xfc, 0xfc, 0xfb]),
  );
  await shows(/Plain white in a flat fold always works/);
  await screen.page.reads(async () => (await screen.driver.findElements(By.css('input[type=color]'))).length, 1);
});

test('shares that do not make up the whole are told, and put right', async () => {
  const { page } = screen;
  await page.openRecord('squares', 'cream');
  const share = await page.one('//span[contains(., "Share of colour 1")]/following::input[1]');
  await share.sendKeys(Key.chord(Key.CONTROL, 'a'), '50');
  await shows(/The shares must add up to 100%, not 65%/);
  await share.sendKeys(Key.chord(Key.CONTROL, 'a'), '85');
  await page.waitFor(async () => !/must add up to 100/.test(await page.body()), 'still told');
});

test('a tie that is out is not among those that can be taken, unless asked for', async () => {
  const { page } = screen;
  await screen.startAfresh('Tobiah');
  await screen.page.go(`/choose-a-tie`);
  await shows(/best match first/);
  assert.doesNotMatch(await page.body(), /Pilot blue, brass buoy\n/);
  await (await page.one('//label[starts-with(normalize-space(), "also lent")]')).click();
  await shows(/Pilot blue, brass buoy\n[^\n]* · lent/);
  await (await page.one('//summary[normalize-space()="Knot by knot"]')).click();
  await shows(/Four-in-hand tail tip at|Four-in-hand (runs|leaves)/);
});

test('preferences are asked once and then spoken at the fitting', async () => {
  const { page } = screen;
  const client = await kept('clients', 'ineke');
  await screen.page.go(`/?client=${client.id}`);
  await page.chosenKnot();
  await shows(/Works near machinery: no tie, or a breakaway tie/);
  await shows(/Tied by the client; dimple slightly off-centre/);
  await shows(/Pulls open/);
});

test('a new client without a tape is dressed by what is supposed, told as such', async () => {
  const { page } = screen;
  await screen.page.go(`/clients/new`);
  await page.type('Name', 'Nobody Measured');
  await (await page.one('(//button[starts-with(normalize-space(), "Measure:")])[2]')).click();
  await page.type('Height', '180');
  await option('Front', 'women’s');
  await shows(/within ±3 cm 2 times in 3/);
  await page.chord(Key.CONTROL, 's');
  await page.waitFor(async () => /\/clients\/[0-9a-f-]{36}$/.test(await screen.driver.getCurrentUrl()), 'not kept');
  await shows(/≈ 45 cm/);
});
