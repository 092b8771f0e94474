import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import { openScreen } from '../support/screen.ts';

const screen = openScreen();
beforeEach(async () => {
  screen.app.gate.open();
  await screen.startAfresh();
});

const saved = () => screen.bench.waitFor(async () => /^Saved under/.test(await screen.bench.status()), 'not saved');
const count = async () => ((await screen.app.sql`select count(*)::int as count from fittings`)[0] as { count: number }).count;

test('saved, found again after the server was started anew, and opened as it was', async () => {
  const { bench, app } = screen;
  await bench.choose('Client', 'Tobiah');
  await bench.choose('Shirt', 'House white, cutaway');
  await bench.waitFor(async () => (await bench.chosenKnot()) === 'Windsor', 'no Windsor');
  const start = await bench.start();
  await (await bench.button('Save fitting')).click();
  await saved();
  await app.restart();
  await bench.open('/fittings');
  const row = await bench.one('//tr[contains(., "Tobiah")][contains(., "House white, cutaway")]');
  assert.match(await row.getText(), /Windsor/);
  await row.findElement(By.css('a')).click();
  await bench.waitFor(async () => (await bench.start()) === start, 'another start than was saved');
  assert.match(await bench.body(), /with the measures and the answer as they were/);
  assert.equal(await (await bench.button('Save fitting')).isEnabled(), false, 'an old fitting is not saved twice');
});

test('an old fitting shows its own answer although the client has changed since, and turns into a new one when touched', async () => {
  const { bench, app } = screen;
  await bench.choose('Client', 'Edrin');
  const start = await bench.start();
  await bench.chord(Key.CONTROL, 's');
  await saved();
  const before = await count();
  await app.sql`update client_measures set mm = 500 where measure = 'frontDropMm'`;
  await (await bench.one('//a[starts-with(normalize-space(), "Saved under")]')).click();
  await bench.waitFor(async () => /Fitting of/.test(await bench.body()), 'not opened');
  assert.equal(await bench.start(), start);
  await bench.type('Front drop', '47');
  await bench.waitFor(async () => /A new fitting, begun from the one of/.test(await bench.body()), 'still the old one');
  await (await bench.button('Save fitting')).click();
  await saved();
  assert.equal(await count(), before + 1);
});

test('records out of reach: the page says so, keeps trying, and saves once when they are back', async () => {
  const { bench, app } = screen;
  await bench.choose('Client', 'Tobiah');
  const before = await count();
  app.gate.shut();
  await (await bench.button('Save fitting')).click();
  await bench.waitFor(async () => /Not saved yet: the studio’s records cannot be reached/.test(await bench.status()), 'no word of it');
  app.gate.open();
  await saved();
  assert.equal(await count(), before + 1);
});

test('giving up on a save tells that it was not made, and keeps everything', async () => {
  const { bench, app, driver } = screen;
  await bench.choose('Client', 'Osric');
  await bench.choose('Tie', 'Long slate');
  const before = await count();
  app.gate.shut();
  await (await bench.button('Save fitting')).click();
  await (await bench.button('Stop trying')).click();
  await bench.waitFor(async () => /^Not saved\. Everything stays here/.test(await bench.status()), 'no word of it');
  assert.match(await bench.body(), /Osric Hallowtide/);
  app.gate.open();
  // Longer than the pause before a next try would have been.
  await driver.sleep(4500);
  assert.equal(await count(), before);
});

test('records out of reach from the start: told, never shown as empty, and filled when they are back', async () => {
  const { bench, driver, app } = screen;
  app.gate.shut();
  for (const path of ['/', '/fittings']) {
    await driver.get(app.address + path);
    const notice = await bench.one('//*[@role="alert"]');
    assert.match(await notice.getText(), /cannot be reached just now/);
  }
  assert.doesNotMatch(await bench.body(), /Nothing has been fitted yet/);
  app.gate.open();
  await bench.one('//table');
});

test('a fitting that does not exist is told, with ways on', async () => {
  const { bench, driver, app } = screen;
  await driver.get(`${app.address}/fittings/00000000-0000-4000-8000-000000000000`);
  await bench.waitFor(async () => /There is no such fitting\./.test(await bench.body()), 'no word of it');
  await bench.one('//a[@href="/fittings"]');
});

test('fittings are found by what they say', async () => {
  const { bench } = screen;
  await bench.open('/fittings');
  await (await bench.one('//input[@type="search"]')).sendKeys('grenadine');
  await bench.waitFor(async () => !/Tobiah/.test(await bench.body()) && /Osric/.test(await bench.body()), 'not narrowed');
  await (await bench.one('//input[@type="search"]')).sendKeys(' zebra');
  await bench.waitFor(async () => /No fitting speaks of/.test(await bench.body()), 'no word of it');
});

test('a studio that keeps nothing yet still has a bench, and an empty list says what to do', async () => {
  const { bench, driver, app } = screen;
  await app.sql.begin(async (sql) => {
    for (const table of ['fittings', 'outfits', 'squares', 'ties', 'jackets', 'shirts', 'client_measures', 'clients'])
      await sql`delete from ${sql(table)}`;
  });
  await driver.executeScript('sessionStorage.clear();');
  await bench.open();
  assert.match(await bench.body(), /Walk-in/);
  await driver.get(`${app.address}/fittings`);
  await bench.waitFor(async () => /Nothing has been fitted yet/.test(await bench.body()), 'no word of it');
});
