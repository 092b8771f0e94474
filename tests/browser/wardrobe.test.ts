import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import type { Kind, Page, RecordOf } from '../../src/contract/records/records.ts';
import { bitmap } from '../support/bitmap.ts';
import { openScreen } from '../support/screen.ts';

const screen = openScreen();
beforeEach(() => screen.startAfresh());

const shows = (what: RegExp) => screen.bench.waitFor(async () => what.test(await screen.bench.body()), `nothing says ${what}`);
const kept = async <K extends Kind>(kind: K, word: string): Promise<RecordOf[K]> => {
  const page: Page<RecordOf[K]> = await (await fetch(`${screen.app.address}/api/${kind}?find=${encodeURIComponent(word)}`)).json();
  return page.rows[0]!;
};
const option = async (label: string, choice: string) =>
  (await screen.bench.one(`//select[../label[normalize-space()="${label}"]]/option[normalize-space()="${choice}"]`)).click();

test('a jacket closed higher shows less of the front, and the drawing’s handles set what the fields say', async () => {
  const { bench } = screen;
  await bench.openRecord('jackets', 'plum');
  await shows(/shows 31\.5 cm of the front/);
  await (await bench.one('//*[@role="slider"][@aria-label="Buttoning point"]')).sendKeys(Key.PAGE_UP);
  await shows(/shows 3[02]\.5 cm of the front/);
  const shown = Number(await bench.value('Buttoning point'));
  assert.ok(shown === 30.5 || shown === 32.5);
  await bench.type('Buttoning point', '');
  await shows(/The buttoning point is supposed from the belt/);
  await option('Worn', 'open');
  await shows(/Worn open, the whole tie shows/);
  await option('Lapel', 'shawl');
  await bench.chord(Key.CONTROL, 's');
  await shows(/Saved\./);
  const jacket = await kept('jackets', 'plum');
  assert.deepEqual([jacket.buttoningMm, jacket.worn, jacket.lapelKind], [null, 'open', 'shawl']);
});

test('a square’s colours change which ties it goes with', async () => {
  const { bench } = screen;
  await bench.openRecord('squares', 'moss');
  await shows(/With the studio’s ties/);
  await shows(/Guild stripe[\s\S]*Picks up the tie’s colours|Picks up the tie’s colours[\s\S]*Guild stripe/);
  await bench.importFile(
    'plain.bmp',
    bitmap(40, 40, () => [0xfc, 0xfc, 0xfb]),
  );
  await shows(/Plain white, in a flat fold: always right/);
  assert.equal((await screen.driver.findElements(By.css('input[type=color]'))).length, 1);
});

test('shares that do not make up the whole are told, and put right', async () => {
  const { bench } = screen;
  await bench.openRecord('squares', 'cream');
  const share = await bench.one('//span[contains(., "Share of colour 1")]/following::input[1]');
  await share.sendKeys(Key.chord(Key.CONTROL, 'a'), '50');
  await shows(/The shares must make up 100 %, not 65 %/);
  await share.sendKeys(Key.chord(Key.CONTROL, 'a'), '85');
  await bench.waitFor(async () => !/must make up 100/.test(await bench.body()), 'still told');
});

test('a tie that is out is not among those that can be taken, unless asked for', async () => {
  const { bench } = screen;
  await bench.choose('Client', 'Tobiah');
  await screen.driver.get(`${screen.app.address}/which-tie`);
  await shows(/best first/);
  assert.doesNotMatch(await bench.body(), /Pilot blue, brass buoy\n/);
  await (await bench.one('//label[starts-with(normalize-space(), "also those out")]')).click();
  await shows(/Pilot blue, brass buoy\n[^\n]*\nout/);
  await (await bench.one('//summary[normalize-space()="Knot by knot"]')).click();
  await shows(/four-in-hand narrow tip at|four-in-hand (runs|leaves)/);
});

test('his habits are asked once and then spoken at the bench', async () => {
  const { bench } = screen;
  const client = await kept('clients', 'ineke');
  await screen.driver.get(`${screen.app.address}/?client=${client.id}`);
  await bench.chosenKnot();
  await shows(/Works near machinery: tie off, or a breakaway one/);
  await shows(/Tied by himself; dimple a hair off centre/);
  await shows(/Falls open when the narrow end is drawn out/);
});

test('a new client without a tape is dressed by what is supposed, told as such', async () => {
  const { bench } = screen;
  await screen.driver.get(`${screen.app.address}/clients/new`);
  await bench.type('Name', 'Nobody Measured');
  await (await bench.one('(//button[normalize-space()="take"])[2]')).click();
  await bench.type('Height', '180');
  await option('Front', 'women’s');
  await shows(/two times in three within 3 cm/);
  await bench.chord(Key.CONTROL, 's');
  await bench.waitFor(async () => /\/clients\/[0-9a-f-]{36}$/.test(await screen.driver.getCurrentUrl()), 'not kept');
  await shows(/≈ 45 cm/);
});
