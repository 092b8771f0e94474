import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import { openScreen } from '../support/screen.ts';

const screen = openScreen();
beforeEach(async () => {
  screen.app.gate.open();
  await screen.startAfresh();
});

const saved = () => screen.page.waitFor(async () => /^Saved under/.test(await screen.page.status()), 'not saved');
const count = async () => ((await screen.app.sql`select count(*)::int as count from fittings`)[0] as { count: number }).count;

test('saved, found again after the server was started anew, and opened as it was', async () => {
  const { page, app } = screen;
  await page.choose('Client', 'Tobiah');
  await page.choose('Shirt', 'House white, cutaway');
  await page.waitFor(async () => (await page.chosenKnot()) === 'Windsor', 'no Windsor');
  const start = await page.start();
  await (await page.button('Save fitting')).click();
  await saved();
  await app.restart();
  await page.open('/fittings');
  const row = await page.one('//tr[contains(., "Tobiah")][contains(., "House white, cutaway")]');
  assert.match(await row.getText(), /Windsor/);
  await row.findElement(By.css('a')).click();
  await page.waitFor(async () => (await page.start()) === start, 'another start than was saved');
  await page.waitFor(async () => /as it was saved/.test(await page.body()), 'not told as it was saved');
  await screen.page.reads(async () => (await page.button('Save fitting')).isEnabled(), false, 'an old fitting is not saved twice');
});

test('an old fitting shows its own answer although the client has changed since, and turns into a new one when touched', async () => {
  const { page, app } = screen;
  await page.choose('Client', 'Edrin');
  const start = await page.start();
  await page.chord(Key.CONTROL, 's');
  await saved();
  const before = await count();
  await app.sql`update client_measures set mm = 500 where measure = 'frontDropMm'`;
  await (await page.one('//a[starts-with(normalize-space(), "Saved under")]')).click();
  await page.waitFor(async () => /Fitting of/.test(await page.body()), 'not opened');
  await page.reads(() => page.start(), start);
  await page.type('Collar button to belt', '47');
  await page.waitFor(async () => /A new fitting, started from the one of/.test(await page.body()), 'still the old one');
  await (await page.button('Save fitting')).click();
  await saved();
  assert.equal(await count(), before + 1);
});

test('records out of reach: the page says so, keeps trying, and saves once when they are back', async () => {
  const { page, app } = screen;
  await page.choose('Client', 'Tobiah');
  const before = await count();
  app.gate.shut();
  await (await page.button('Save fitting')).click();
  await page.waitFor(async () => /Not saved: the studio’s records can’t be reached/.test(await page.status()), 'no word of it');
  app.gate.open();
  await saved();
  assert.equal(await count(), before + 1);
});

test('giving up on a save tells that it was not made, and keeps everything', async () => {
  const { page, app } = screen;
  await page.choose('Client', 'Osric');
  await page.choose('Tie', 'Long slate');
  const before = await count();
  app.gate.shut();
  await (await page.button('Save fitting')).click();
  await (await page.button('Stop trying')).click();
  await page.waitFor(async () => /^Not saved\. Nothing you entered is lost/.test(await page.status()), 'no word of it');
  await page.reads(() => page.body(), /Osric Hallowtide/);
  app.gate.open();
  // A save that was still being tried would come before one that is begun now.
  await page.choose('Tie', 'Guild');
  await (await page.button('Save fitting')).click();
  await saved();
  assert.equal(await count(), before + 1);
});

test('what is typed while a record waits to be saved is not lost, and not called saved', async () => {
  const { page, app } = screen;
  await page.openRecord('ties', 'heather');
  const note = async () => page.one('//label[normalize-space()="Note"]/following::textarea[1]');
  await (await note()).sendKeys('Brushed.');
  app.gate.shut();
  await (await page.button('Save')).click();
  await page.waitFor(async () => /Not saved yet; nothing you entered is lost/.test(await page.body()), 'no word of it');
  await (await note()).sendKeys(' Moth hole at the tail.');
  app.gate.open();
  await page.waitFor(
    async () => /Not saved yet\./.test(await page.body()) && !/nothing you entered is lost/.test(await page.body()),
    'called saved',
  );
  await screen.page.reads(async () => (await note()).getAttribute('value'), 'Brushed. Moth hole at the tail.');
  await (await page.button('Save')).click();
  await page.waitFor(async () => /Saved\./.test(await page.body()), 'not saved');
  const { rows } = await (await fetch(`${app.address}/api/ties?find=heather`)).json();
  assert.equal(rows[0].note, 'Brushed. Moth hole at the tail.');
});

test('records out of reach from the start: told, never shown as empty, and filled when they are back', async () => {
  const { page, app } = screen;
  await screen.forget();
  app.gate.shut();
  for (const path of ['/', '/fittings']) {
    await screen.page.go(path);
    const notice = await page.one('//*[@role="alert"]');
    assert.match(await notice.getText(), /can’t be reached/);
  }
  assert.doesNotMatch(await page.body(), /No fittings saved yet/);
  app.gate.open();
  await page.one('//table');
});

test('a fitting that does not exist is told, with ways on', async () => {
  const { page } = screen;
  await screen.page.go(`/fittings/00000000-0000-4000-8000-000000000000`);
  await page.waitFor(async () => /This fitting was not found\./.test(await page.body()), 'no word of it');
  await page.one('//a[@href="/fittings"]');
});

test('fittings are found by what they say', async () => {
  const { page } = screen;
  await page.open('/fittings');
  await (await page.one('//input[@type="search"]')).sendKeys('grenadine');
  await page.waitFor(async () => !/Tobiah/.test(await page.body()) && /Osric/.test(await page.body()), 'not narrowed');
  await (await page.one('//input[@type="search"]')).sendKeys(' zebra');
  await page.waitFor(async () => /No fitting found for/.test(await page.body()), 'no word of it');
});

test('a client who is gone from the records meanwhile is said to be, and a new fitting is begun from there', async () => {
  const { page, app } = screen;
  const client = '00000000-0000-4000-8000-00000000c11e';
  await app.sql`insert into clients (id, studio_id, name) select ${client}, id, 'Wilmot Passing' from studios`;
  await page.open(`/?client=${client}`);
  await page.reads(() => page.body(), /Wilmot Passing/);
  await screen.driver.get(`${app.address}/icon.svg`);
  await app.sql`delete from clients where id = ${client}`;
  await page.open();
  await page.reads(async () => (await page.one('//*[@role="alert"]')).getText(), 'This client was not found.');
  await (await page.button('Start a new fitting')).click();
  await page.reads(() => page.chosenKnot(), /./);
});

test('a studio that keeps nothing yet still has a fitting, and an empty list says what to do', async () => {
  const { page, app } = screen;
  await app.sql.begin(async (sql) => {
    for (const table of [
      'cares',
      'rehearsals',
      'learners',
      'fittings',
      'outfits',
      'squares',
      'ties',
      'jackets',
      'shirts',
      'client_measures',
      'clients',
    ])
      await sql`delete from ${sql(table)}`;
  });
  await screen.startAfresh();
  await page.reads(() => page.body(), /Walk-in/);
  await screen.page.go(`/fittings`);
  await page.waitFor(async () => /No fittings saved yet/.test(await page.body()), 'no word of it');
});
