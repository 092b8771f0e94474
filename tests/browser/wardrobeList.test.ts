import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import type { Kind, Page, RecordOf } from '../../src/contract/records/records.ts';
import { bitmap } from '../support/bitmap.ts';
import { openScreen } from '../support/screen.ts';

const screen = openScreen();
beforeEach(() => screen.forget());

const shows = (what: RegExp) => screen.page.waitFor(async () => what.test(await screen.page.body()), `nothing says ${what}`);
const to = (path: string) => screen.page.go(path);
async function kept<K extends Kind>(kind: K, name: string): Promise<RecordOf[K]> {
  const found: Page<RecordOf[K]> = await (await fetch(`${screen.app.address}/api/${kind}?find=${encodeURIComponent(name)}`)).json();
  return found.rows[0]!;
}
const upload = (name: string, content: string | Uint8Array) => screen.page.importFile(name, content);

test('the rack shows each tie with its owner and where it is', async () => {
  const { page } = screen;
  await to('/wardrobe');
  await shows(/Pilot blue, brass buoy[\s\S]*lent since 20 Nov 2026, with Edrin Mallowfrost/);
  await (await page.one('//label[normalize-space()="pocket squares"]')).click();
  await shows(/Plain white linen/);
  await (await page.one('//label[contains(., "the studio’s")]')).click();
  await page.waitFor(async () => !/Lantern red, rolled edge/.test(await page.body()), 'a client’s square is shown as the studio’s');
});

test('the list is ordered by a measure when its heading is pressed, and the other way round when pressed again', async () => {
  const { page, driver } = screen;
  await to('/wardrobe');
  const first = async () => (await driver.findElement(By.css('main ul li a'))).getText();
  const heading = () => page.one('//fieldset[legend="Order by"]/button[starts-with(normalize-space(), "Length")]');
  await (await heading()).click();
  await page.waitFor(async () => (await (await heading()).getAttribute('aria-pressed')) === 'true', 'not ordered by length');
  const shortest = await first();
  await (await heading()).click();
  await page.waitFor(async () => (await first()) !== shortest, 'not the other way round');
  await page.waitFor(async () => /Long slate grenadine/.test(await first()), 'the longest tie comes first');
});

test('a tie is lent from its page, is not among those that are ready, comes back, and what was noted by mistake is undone', async () => {
  const { page, driver } = screen;
  const tie = await kept('ties', 'heather');
  await to(`/ties/${tie.id}`);
  await shows(/Ready\. Never worn yet/);
  await shows(/Give it 2 days’ rest/);
  await (await page.button('Lend')).click();
  const form = await page.one('//form[@aria-label="Lend"]');
  await (await form.findElement(By.css('input:not([type=date])'))).sendKeys('For the regatta.', Key.ENTER);
  await shows(/Lent since[\s\S]*Noted: lent since/);
  await shows(/Worn, lent, repaired[\s\S]*Lent, still[\s\S]*For the regatta/);
  await to('/wardrobe');
  await shows(/16 ties[\s\S]*Heather tweed/);
  await (await page.one('//label[normalize-space()="ready to wear"]')).click();
  await page.waitFor(async () => !/Heather tweed/.test(await page.body()), 'a lent tie is ready');
  await shows(/\b\d+ ties/);
  await to(`/ties/${tie.id}`);
  await (await page.button('Back today')).click();
  await shows(/Ready\.[\s\S]*Noted: lent, until/);
  await (await page.button('Undo')).click();
  await shows(/Lent since/);
  await (await page.button('Back today')).click();
  await shows(/Ready\./);
  await (await page.button('Keep looped')).click();
  await shows(/What it costs: the nap is pressed flat/);
  const looped = await page.one('//form[@aria-label="Keep looped"]');
  await (await looped.findElement(By.css('input[type=date]'))).sendKeys(Key.ESCAPE);
  await page.waitFor(async () => (await driver.findElements(By.css('form[aria-label="Keep looped"]'))).length === 0, 'Escape left it open');
});

test('a width along the tie is added, drawn by its edge, and changes what the knots take up', async () => {
  const { page } = screen;
  const tie = await kept('ties', 'lantern red');
  await to(`/ties/${tie.id}`);
  await shows(/Four-in-hand/);
  const row = async () => (await page.one('//tr[th[normalize-space()="Four-in-hand"]]')).getText();
  const straight = await row();
  await (await page.button('Add a width')).click();
  const figures = (text: string) => [...text.matchAll(/[\d.]+/g)].map(([figure]) => Number(figure));
  // It is entered to the millimetre.
  const moved = figures(await row()).map((figure, i) => Math.abs(figure - (figures(straight)[i] ?? 0)));
  assert.ok(
    moved.every((cm) => cm < 0.15),
    `a width on the straight taper changes nothing: ${moved}`,
  );
  const edge = await page.one('//*[@role="slider"][starts-with(@aria-label, "Width ")]');
  await edge.sendKeys(Key.PAGE_DOWN, Key.PAGE_DOWN);
  await page.waitFor(async () => (await row()) !== straight, 'the knots stayed as they were');
  await (await page.button('Save')).click();
  await shows(/Saved\./);
  assert.equal((await kept('ties', 'lantern red')).profile.length, 1);
});

test('a tie’s colours are read from a photo of its cloth, and the photo goes nowhere', async () => {
  const { page, driver } = screen;
  const tie = await kept('ties', 'heather');
  await to(`/ties/${tie.id}`);
  await shows(/From a photo/);
  await driver.executeScript(
    'window.sent = []; const old = window.fetch; window.fetch = (...a) => { window.sent.push(String(a[0])); return old(...a); };',
  );
  await upload(
    'cloth.bmp',
    bitmap(60, 60, (x) => (x % 10 < 7 ? [0x1d, 0x59, 0x63] : [0xd9, 0xd2, 0xbd])),
  );
  await page.waitFor(
    async () => (await page.one('//input[@aria-label="Colour 1"]')).getAttribute('value').then((value) => value === '#1d5963'),
    'not read',
  );
  await screen.page.reads(async () => (await page.one('//input[@aria-label="Colour 2"]')).getAttribute('value'), '#d9d2bd');
  const share = Number(await (await page.one('//span[contains(., "Share of colour 1")]/following::input[1]')).getAttribute('value'));
  assert.ok(share >= 65 && share <= 75, `${share} %`);
  assert.deepEqual(await driver.executeScript('return window.sent'), []);
  await upload('letter.txt', 'no picture');
  await shows(/“letter\.txt” isn’t a picture that can be read/);
});

test('a named collar fills its measures in, the drawing follows the field, and the field the drawing', async () => {
  const { page } = screen;
  const shirt = await kept('shirts', 'faint rose');
  await to(`/shirts/${shirt.id}`);
  const drawn = async () => String(await (await page.one('//*[starts-with(@aria-label, "Collar, ")]')).getAttribute('aria-label'));
  assert.match(await drawn(), /semi-spread/);
  await (await page.one('//select[../label[normalize-space()="Collar"]]/option[normalize-space()="cutaway"]')).click();
  await page.waitFor(async () => /^Collar, cutaway: points 7\.5 cm long, 15 cm apart/.test(await drawn()), 'not drawn');
  await page.type('Collar spread (point to point)', '7');
  await page.waitFor(async () => /^Collar, point/.test(await drawn()), 'the drawing stayed');
  await (await page.one('//*[@role="slider"][@aria-label="Collar spread"]')).sendKeys(Key.ARROW_RIGHT);
  assert.equal(await page.value('Collar spread (point to point)'), '7.1');
  await page.type('Collar spread (point to point)', '19');
  await shows(/two points of 7\.5 cm reach 15 cm at most/);
  await (await page.button('Undo (Ctrl + Z)')).click();
});

test('a square is judged beside the tie, and sets are split', async () => {
  const { page, driver } = screen;
  await screen.startAfresh('Tobiah');
  await to('/choose-a-tie');
  await shows(/ties work with this outfit, best match first/);
  await (await page.one('//*[@role="option"][contains(., "Guild stripe")]')).click();
  await shows(/Pocket square/);
  await shows(/Plain white in a flat fold always works/);
  await shows(/Sold with this tie: wear it with another/);
  await shows(/Split the sets: this tie with “Pilot blue square”/);
  await (await page.one('//label[normalize-space()="a matched set is allowed"]')).click();
  await shows(/Sold with this tie: safe, and looks bought as a set/);
  await driver.navigate().refresh();
  await shows(/Pocket square/);
  assert.equal(
    await (await page.one('//label[normalize-space()="a matched set is allowed"]/input')).isSelected(),
    true,
    'remembered on this device',
  );
});

test('a table is looked at first, then brought in, or refused as a whole', async () => {
  const { page } = screen;
  await to('/import-export');
  await shows(/Choose a file/);
  await upload('my ties.csv', 'label,length_mm,blade_mm,thickness_mm\nHarbour plaid,1480,80,3\nToo wide,1480,500,3\n');
  await shows(/1 error, 1 to add/);
  await shows(/Blade can’t be 50 cm/);
  await screen.page.reads(
    async () => (await screen.driver.findElements(By.xpath('//button[normalize-space()="Import"]'))).length === 0,
    true,
  );
  await shows(/Mend the lines here/);
  await upload('my ties.csv', 'label,length_mm,blade_mm,thickness_mm\nHarbour plaid,1480,80,3\n');
  await shows(/1 to add\./);
  assert.equal(await kept('ties', 'harbour plaid'), undefined);
  await (await page.button('Import')).click();
  await shows(/Imported: 1 added\./);
  assert.equal((await kept('ties', 'harbour plaid')).bladeMm, 80);
  await upload('holiday.doc', 'x');
  await shows(/can’t be read here/);
});

test('another program’s table: columns matched, good lines taken, the bad one mended where it stands', async () => {
  const { page } = screen;
  await to('/import-export');
  await shows(/Choose a file/);
  await upload(
    'stock of ties.csv',
    'Item,Length (in),Width (in),Thickness\nQuay rust,58,3 1/4,3.1\nQuay moss,58,wide,3\n"Quay sand,58,3,3\n',
  );
  await shows(/Columns: 4 of 4 are read/);
  await shows(/2 errors, 1 to add/);
  await (await page.button('Import the good line')).click();
  await shows(/Imported: 2 errors, 1 added\./);
  assert.equal((await kept('ties', 'quay rust')).bladeMm, 82.55);
  const cell = await page.one('//label[contains(., "Blade")]/input[@value="wide"]');
  await cell.sendKeys(Key.chord(Key.CONTROL, 'a'), '3 1/2');
  const line = await page.one('//label[contains(., "as it stands")]/input');
  await line.sendKeys(Key.chord(Key.CONTROL, 'a'), 'Quay sand,58,3,3');
  await (await page.button('Check again')).click();
  await shows(/2 to add\./);
  await (await page.button('Import')).click();
  await shows(/Imported: 2 added\./);
  assert.deepEqual([(await kept('ties', 'quay moss')).bladeMm, (await kept('ties', 'quay sand')).bladeMm], [88.9, 76.2]);
});
