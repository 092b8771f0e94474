import assert from 'node:assert/strict';
import { afterEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import type { ClientRecord, Page } from '../../src/contract/records/records.ts';
import { openScreen } from '../support/screen.ts';

const screen = openScreen(undefined, { keeps: true });

afterEach(async () => {
  const up = await fetch(`${screen.app.address}/api/alive`).catch(() => undefined);
  if (!up) await screen.app.comeUp();
});

const shows = (what: RegExp) => screen.page.waitFor(async () => what.test(await screen.page.body()), `nothing says ${what}`);
const waits = async () => (await screen.page.one('//aside[@aria-label="What waits on this device"]')).getText();
const stage = async (name: string) =>
  (await screen.page.one(`//nav[@aria-label="Stages of the fitting"]//button[contains(., "${name}")]`)).click();
const counted = async () =>
  (await screen.app.sql`select (select count(*)::int from fittings) as fittings, (select count(*)::int from tyings) as tyings`)[0];
const client = async (word: string): Promise<ClientRecord> =>
  ((await (await fetch(`${screen.app.address}/api/clients?find=${word}`)).json()) as Page<ClientRecord>).rows[0]!;

/** Once the device keeps the page that is shown. */
const isKept = () =>
  screen.page.waitFor(
    () =>
      screen.driver.executeAsyncScript<boolean>(`
        const done = arguments[arguments.length - 1];
        caches.open('pages').then((cache) => cache.keys()).then((keys) => {
          const { pathname } = location;
          done(navigator.serviceWorker.controller !== null && keys.some(({ url }) => new URL(url).pathname === pathname));
        });`),
    'the page is not kept',
  );

test('without the server the running fitting goes on, over a reload too, and what was entered is sent once it is back, once', async () => {
  const { page, driver, app } = screen;
  const tobiah = await client('Tobiah');
  await page.open(`/?client=${tobiah.id}&knot=Li-Ro-Li-Co-T`);
  await isKept();
  const before = await counted();
  await app.goDown();
  await page.type('Collar button to belt', '46');
  await driver.navigate().refresh();
  await page.alive();
  await shows(/This page is shown as this device kept it/);
  await page.reads(() => page.value('Collar button to belt'), '46', 'what was entered is lost');
  await stage('Set');
  const start = await page.start();
  assert.match(start, /\d/);
  await stage('Tie');
  await shows(/step 1/i);
  await driver.actions().sendKeys(Key.ARROW_RIGHT).perform();
  await page.one('//canvas[@data-drawn="true"]');
  await stage('Check');
  await (await page.one('//label[.="The blade tip ended"]/following-sibling::input')).sendKeys('1.5');
  await (await page.one('//label[normalize-space()="below it"]')).click();
  await (await page.button('Keep this check')).click();
  await shows(/can’t be reached|hasn’t answered/);
  // Gone before the server is back: what waits is there all the same.
  await driver.navigate().refresh();
  await page.alive();
  await page.waitFor(
    async () => /Not sent yet, and kept on this device: Fitting of Tobiah.*Tying “/.test(await waits()),
    'what waits is not told',
  );
  await app.comeUp();
  await page.reads(waits, /Saved now: Fitting of Tobiah.*; Tying “/);
  const after = await counted();
  assert.deepEqual(after, { fittings: before?.['fittings'] + 1, tyings: before?.['tyings'] + 1 });
  const [kept] = await app.sql`select tip_off_mm from tyings where id = (select id from fittings order by created_at desc limit 1)`;
  assert.equal(Number(kept?.['tipOffMm']), 15);
  assert.equal(await driver.executeScript(`return Object.keys(localStorage).filter((key) => key.startsWith('ropewalk.unsent')).length`), 0);
});

test('a page that was never opened here says so, and leads back to the fitting', async () => {
  const { page, driver, app } = screen;
  const edrin = await client('Edrin');
  await page.open('/');
  await isKept();
  await app.goDown();
  await driver.get(`${app.address}/clients/${edrin.id}`);
  await shows(/Ropewalk’s server doesn’t answer/);
  await (await page.one('//a[.="Go on with the fitting"]')).click();
  await page.alive();
  await page.chosenKnot();
});

test('what somebody else changed meanwhile is not overwritten: the entry waits, is opened, and put together with theirs', async () => {
  const { page, driver, app } = screen;
  const osric = await client('Osric');
  await page.go(`/clients/${osric.id}`);
  for (const shut of await driver.findElements(By.xpath('//details[not(@open)]/summary[normalize-space()="Edit"]'))) await shut.click();
  await isKept();
  await app.goDown();
  await page.type('Nickname', 'Mine');
  await (await page.button('Save')).click();
  await shows(/Not saved yet; nothing you entered is lost/);
  await driver.get(`${app.address}/`);
  await app.sql`update clients set nickname = 'Theirs', version = version + 1 where id = ${osric.id}`;
  await app.comeUp();
  await page.waitFor(async () => /Not saved: Client “Osric/.test(await waits()), 'the clash is not told');
  assert.equal((await client('Osric')).nickname, 'Theirs');
  await (await page.button('Open what you entered')).click();
  await shows(/What you entered earlier and didn’t save is still here/);
  await (await page.button('Save')).click();
  await shows(/Someone else changed this client/);
  await (await page.one('//tr[th[normalize-space()="Nickname"]]//label[contains(., "Mine")]')).click();
  await (await page.button('Combine and save')).click();
  await shows(/Saved\./);
  assert.equal((await client('Osric')).nickname, 'Mine');
});
