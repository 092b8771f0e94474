import assert from 'node:assert/strict';
import { randomUUID } from 'node:crypto';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import { kinds } from '../../src/contract/records/kinds/index.ts';
import type { ClientRecord, Page } from '../../src/contract/records/records.ts';
import { openScreen } from '../support/screen.ts';

const many = 3000;

/** With as many clients as a busy studio has. */
const screen = openScreen(
  ({ sql }) => sql`
    insert into clients (id, studio_id, name, note)
    select gen_random_uuid(), (select id from studios), 'Guest ' || lpad(n::text, 4, '0'), 'Supper table ' || n % 40
    from generate_series(1, ${many}::int) as n`,
);
beforeEach(async () => {
  screen.app.gate.open();
  await screen.forget();
});

/** The form stands behind “Edit” once there is more to see of a client. */
const edit = async () => {
  const shut = await screen.driver.findElements(By.xpath('//details[not(@open)]/summary[normalize-space()="Edit"]'));
  for (const each of shut) await each.click();
};
const toForm = async (path: string) => {
  await to(path);
  await edit();
};
const shows = (what: RegExp, message = `nothing says ${what}`) =>
  screen.page.waitFor(async () => what.test(await screen.page.body()), message);
const kept = async (name: string): Promise<ClientRecord> => {
  const found: Page<ClientRecord> = await (await fetch(`${screen.app.address}/api/clients?find=${encodeURIComponent(name)}`)).json();
  return found.rows[0]!;
};
const to = async (path: string) => {
  await screen.page.go(path);
};
const find = async (text: string) => (await screen.page.one('//input[@id="find"]')).sendKeys(Key.chord(Key.CONTROL, 'a'), text);

test('thousands of clients: only the rows in sight are drawn, and the last is reached', async () => {
  const { driver } = screen;
  await to('/clients');
  await shows(new RegExp(`${many + 9} clients`));
  const drawn = (await driver.findElements(By.css('main ul > li'))).length;
  assert.ok(drawn < 40, `${drawn} rows drawn`);
  await driver.executeScript('scrollTo(0, document.documentElement.scrollHeight)');
  await shows(/Wick Fenlow/);
  await screen.page.reads(async () => (await driver.findElements(By.css('main ul > li'))).length < 40, true);
});

test('found by typing, from the keyboard', async () => {
  const { page } = screen;
  await to('/clients');
  await shows(/clients/);
  await page.press('/');
  await page.press('trimmer');
  await shows(/1 client with “trimmer”/);
  await shows(/Pell Ambry/);
  await find('nobody at all');
  await shows(/No client found for/);
});

test('a client is added: faults are told in words, nothing typed is lost, and the tape’s figures are kept with their day', async () => {
  const { page, driver } = screen;
  await to('/clients/new');
  await page.type('Nickname', 'Orly');
  await (await page.button('Save')).click();
  await shows(/Not saved yet: Name is missing\./);
  await page.reads(() => page.value('Nickname'), 'Orly');
  await page.type('Name', 'Orla Tarwick');
  await (await page.one('(//button[starts-with(normalize-space(), "Measure:")])[1]')).click();
  await page.type('Collar button to belt', 'wide');
  await shows(/Collar button to belt is not a length: “wide”/);
  await page.type('Collar button to belt', '17 3/4 in');
  await driver.navigate().refresh();
  await shows(/What you entered earlier and didn’t save is still here/);
  await page.reads(() => page.value('Name'), 'Orla Tarwick');
  await page.chord(Key.CONTROL, 's');
  await page.waitFor(async () => /\/clients\/[0-9a-f-]{36}$/.test(await driver.getCurrentUrl()), 'not at its own address');
  const client = await kept('Orla');
  const [taken] = client.measures;
  assert.deepEqual([client.nickname, taken?.how, taken?.takenOn], ['Orly', 'tape', new Date().toISOString().slice(0, 10)]);
  assert.ok(Math.abs(taken!.mm - 450.85) < 0.01);
});

test('a measure is taken anew: the old one is kept, an estimate looks like one', async () => {
  const { page } = screen;
  const before = await kept('Edrin');
  await toForm(`/clients/${before.id}`);
  await (await page.one('(//button[starts-with(normalize-space(), "Re-measure")])[1]')).click();
  await page.type('Collar button to belt', '45');
  await (await page.one('//label[normalize-space()="estimated"]')).click();
  await shows(/within ±2 cm 2 times in 3/);
  await (await page.button('Undo (Ctrl + Z)')).click();
  await (await page.button('Redo (Ctrl + Shift + Z)')).click();
  await (await page.button('Save')).click();
  await shows(/Saved\./);
  const after = await kept('Edrin');
  assert.equal(after.measures.length, before.measures.length + 1);
  assert.deepEqual([after.measures[0]?.mm, after.measures[0]?.how], [450, 'estimate']);
});

test('put away, and brought back', async () => {
  const { page } = screen;
  const { id } = await kept('Jory');
  await toForm(`/clients/${id}`);
  await (await page.button('Archive')).click();
  await shows(/This client is archived/);
  assert.equal(await kept('Jory'), undefined);
  await to('/clients');
  await find('jory');
  await shows(/No client found for/);
  await (await page.one('//label[contains(., "Archived")]//input')).click();
  await (await page.one('//a[normalize-space()="Jory Saltreed"]')).click();
  await page.waitFor(async () => (await screen.driver.getCurrentUrl()).endsWith(id), 'not gone there');
  await page.alive();
  await edit();
  await (await page.button('Restore')).click();
  await page.waitFor(async () => (await kept('Jory'))?.id === id, 'not back');
});

test('somebody else changes the client meanwhile: told field by field, put together, nothing overwritten', async () => {
  const { page, app } = screen;
  const client = await kept('Osric');
  await toForm(`/clients/${client.id}`);
  await page.type('Nickname', 'Mine');
  await page.type('Telephone', 'bell 9');
  const theirs = await fetch(`${app.address}/api/clients/${client.id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...client, nickname: 'Theirs', note: 'Taller still.' }),
  });
  assert.equal(theirs.status, 200);
  await (await page.button('Save')).click();
  await shows(/Someone else changed this client while you did\. Nothing was overwritten\./);
  await shows(/Taller still\./);
  const together = await page.button('Combine and save');
  assert.equal(await together.isEnabled(), false, 'both changed the nickname: one has to be chosen');
  await (await page.one('//tr[th[normalize-space()="Nickname"]]//label[contains(., "Mine")]')).click();
  await together.click();
  await shows(/Saved\./);
  const after = await kept('Osric');
  assert.deepEqual([after.nickname, after.phone, after.note], ['Mine', 'bell 9', 'Taller still.']);
});

test('records out of reach while saving: said, tried again, and saved once they are back', async () => {
  const { page, app } = screen;
  const client = await kept('Wick');
  await toForm(`/clients/${client.id}`);
  await page.type('Nickname', 'Wicky');
  app.gate.shut();
  await (await page.button('Save')).click();
  await shows(/Not saved yet; nothing you entered is lost/);
  app.gate.open();
  await shows(/Saved\./);
  assert.equal((await kept('Wick')).nickname, 'Wicky');
});

test('an outfit is put together from what its client can wear, and is worn at the fitting', async () => {
  const { page } = screen;
  const client = await kept('Ineke');
  await to(`/clients/${client.id}`);
  await (await page.one('//a[@aria-label="New outfit"]')).click();
  await page.type('Name', 'Guild day');
  await page.choose('Shirt', 'White, cutaway');
  await page.choose('Jacket', 'House navy');
  await shows(/points of White, cutaway/);
  await page.type('Collar button to belt, in these trousers', '39.5');
  await (await page.button('Save')).click();
  await shows(/Saved\.|Outfit of/);
  await to(`/?client=${client.id}`);
  await page.chosenKnot();
  await shows(/Guild day/);
  await page.reads(() => page.value('Collar button to belt'), '39.5');
});

test('the fitting finds any client by typing, and takes their preferences', async () => {
  const { page } = screen;
  await page.open();
  await (await page.one('//button[span[normalize-space()="Client:"]]')).click();
  await (await page.one('//input[@placeholder="Find"]')).sendKeys('Guest 2999');
  await (await page.one('//*[@role="option"][contains(., "Guest 2999")]')).click();
  await page.waitFor(async () => (await page.value('Height')) === '', 'a height that was never taken');
  await shows(/estimated from height/);
  await page.choose('Client', 'Bram');
  await page.waitFor(async () => (await page.chosenKnot()) === 'Four-in-hand', 'what is prescribed goes before the usual knot');
});

test('what somebody else adds is on the list without loading it again', async () => {
  await to('/clients');
  await find('Newcomer');
  await shows(/No client found/);
  await fetch(`${screen.app.address}/api/clients`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...kinds.clients.fresh, id: randomUUID(), name: 'Newcomer Bywater' }),
  });
  await shows(/Newcomer Bywater/);
});
