import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { Key } from 'selenium-webdriver';
import type { Kind, Page, RecordOf } from '../../src/contract/records/records.ts';
import { bitmap } from '../support/bitmap.ts';
import { openScreen } from '../support/screen.ts';

const screen = openScreen();
beforeEach(() => screen.startAfresh());

const shows = (what: RegExp) => screen.bench.waitFor(async () => what.test(await screen.bench.body()), `nothing says ${what}`);
const to = (path: string) => screen.driver.get(screen.app.address + path);
async function kept<K extends Kind>(kind: K, name: string): Promise<RecordOf[K]> {
  const page: Page<RecordOf[K]> = await (await fetch(`${screen.app.address}/api/${kind}?find=${encodeURIComponent(name)}`)).json();
  return page.rows[0]!;
}
const upload = (name: string, content: string | Uint8Array) => screen.bench.importFile(name, content);

test('the rack shows each tie with its owner and where it is', async () => {
  const { bench } = screen;
  await to('/rack');
  await shows(/Pilot blue, brass buoy[\s\S]*out with Edrin Mallowfrost/);
  await (await bench.one('//label[normalize-space()="squares"]')).click();
  await shows(/Plain white linen/);
  await (await bench.one('//label[contains(., "the studio’s")]')).click();
  await bench.waitFor(async () => !/Lantern red, rolled edge/.test(await bench.body()), 'his square is shown as the studio’s');
});

test('a width along the tie is added, drawn by its edge, and changes what the knots take up', async () => {
  const { bench } = screen;
  const tie = await kept('ties', 'lantern red');
  await to(`/ties/${tie.id}`);
  await shows(/four-in-hand/);
  const row = async () => (await bench.one('//tr[th[normalize-space()="four-in-hand"]]')).getText();
  const straight = await row();
  await (await bench.button('a width between')).click();
  assert.equal(await row(), straight, 'a width on the straight taper changes nothing');
  const edge = await bench.one('//*[@role="slider"][starts-with(@aria-label, "Width ")]');
  await edge.sendKeys(Key.PAGE_DOWN, Key.PAGE_DOWN);
  await bench.waitFor(async () => (await row()) !== straight, 'the knots stayed as they were');
  await (await bench.button('Save')).click();
  await shows(/Saved\./);
  assert.equal((await kept('ties', 'lantern red')).profile.length, 1);
});

test('a tie’s colours are read from a photo of its cloth, and the photo goes nowhere', async () => {
  const { bench, driver } = screen;
  const tie = await kept('ties', 'heather');
  await to(`/ties/${tie.id}`);
  await shows(/from a photo/);
  await driver.executeScript(
    'window.sent = []; const old = window.fetch; window.fetch = (...a) => { window.sent.push(String(a[0])); return old(...a); };',
  );
  await upload(
    'cloth.bmp',
    bitmap(60, 60, (x) => (x % 10 < 7 ? [0x1d, 0x59, 0x63] : [0xd9, 0xd2, 0xbd])),
  );
  await bench.waitFor(
    async () => (await bench.one('//input[@aria-label="Colour 1"]')).getAttribute('value').then((value) => value === '#1d5963'),
    'not read',
  );
  assert.equal(await (await bench.one('//input[@aria-label="Colour 2"]')).getAttribute('value'), '#d9d2bd');
  const share = Number(await (await bench.one('//span[contains(., "Share of colour 1")]/following::input[1]')).getAttribute('value'));
  assert.ok(share >= 65 && share <= 75, `${share} %`);
  assert.deepEqual(await driver.executeScript('return window.sent'), []);
  await upload('letter.txt', 'no picture');
  await shows(/“letter\.txt” is no picture that can be read/);
});

test('a named collar fills its measures in, the drawing follows the field, and the field the drawing', async () => {
  const { bench } = screen;
  const shirt = await kept('shirts', 'faint rose');
  await to(`/shirts/${shirt.id}`);
  const drawn = async () => String(await (await bench.one('//*[starts-with(@aria-label, "Collar, ")]')).getAttribute('aria-label'));
  assert.match(await drawn(), /semi-spread/);
  await (await bench.one('//select[../label[normalize-space()="Collar"]]/option[normalize-space()="cutaway"]')).click();
  await bench.waitFor(async () => /^Collar, cutaway: points 7\.5 cm long, 15 cm apart/.test(await drawn()), 'not drawn');
  await bench.type('Tip to tip', '7');
  await bench.waitFor(async () => /^Collar, point/.test(await drawn()), 'the drawing stayed');
  await (await bench.one('//*[@role="slider"][@aria-label="Tip to tip"]')).sendKeys(Key.ARROW_RIGHT);
  assert.equal(await bench.value('Tip to tip'), '7.1');
  await bench.type('Tip to tip', '19');
  await shows(/two points of 7\.5 cm reach 15 cm at most/);
  await (await bench.button('Undo (Ctrl + Z)')).click();
});

test('a square is judged beside the tie, and sets are split', async () => {
  const { bench, driver } = screen;
  await bench.choose('Client', 'Tobiah');
  await to('/which-tie');
  await shows(/ties can be worn with it, best first/);
  await (await bench.one('//*[@role="option"][contains(., "Guild stripe")]')).click();
  await shows(/A square in the pocket/);
  await shows(/Plain white, in a flat fold: always right/);
  await shows(/Sold with this very tie: wear it with another one/);
  await shows(/Split the sets: this tie with “Pilot blue square”/);
  await (await bench.one('//label[normalize-space()="a matched set is allowed"]')).click();
  await shows(/Sold with this very tie: safe, and looks bought as a set/);
  await driver.navigate().refresh();
  await shows(/A square in the pocket/);
  assert.equal(await driver.executeScript('return localStorage.getItem("ropewalk.square-rule")'), 'set');
});

test('a table is looked at first, then brought in, or refused as a whole', async () => {
  const { bench } = screen;
  await to('/in-and-out');
  await shows(/Choose a file/);
  await upload('my ties.csv', 'label,length_mm,blade_mm,thickness_mm\nHarbour plaid,1480,80,3\nToo wide,1480,500,3\n');
  await shows(/1 at fault, 1 would be added/);
  await shows(/Blade cannot be 50 cm/);
  assert.equal((await bench.body()).includes('Bring it in'), false);
  await upload('my ties.csv', 'label,length_mm,blade_mm,thickness_mm\nHarbour plaid,1480,80,3\n');
  await shows(/1 would be added\./);
  assert.equal(await kept('ties', 'harbour plaid'), undefined);
  await (await bench.button('Bring it in')).click();
  await shows(/Done: 1 added\./);
  assert.equal((await kept('ties', 'harbour plaid')).bladeMm, 80);
  await upload('holiday.doc', 'x');
  await shows(/is none of the files read here/);
});
