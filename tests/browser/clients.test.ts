import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
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
  await screen.startAfresh();
});

const shows = (what: RegExp, message = `nothing says ${what}`) =>
  screen.bench.waitFor(async () => what.test(await screen.bench.body()), message);
const kept = async (name: string): Promise<ClientRecord> => {
  const page: Page<ClientRecord> = await (await fetch(`${screen.app.address}/api/clients?find=${encodeURIComponent(name)}`)).json();
  return page.rows[0]!;
};
const to = async (path: string) => {
  await screen.driver.get(screen.app.address + path);
};
const find = async (text: string) => (await screen.bench.one('//input[@id="find"]')).sendKeys(Key.chord(Key.CONTROL, 'a'), text);

test('thousands of clients: only the rows in sight are drawn, and the last is reached', async () => {
  const { driver } = screen;
  await to('/clients');
  await shows(new RegExp(`${many + 9} clients`));
  const drawn = (await driver.findElements(By.css('main ul > li'))).length;
  assert.ok(drawn < 40, `${drawn} rows drawn`);
  await driver.executeScript('scrollTo(0, document.documentElement.scrollHeight)');
  await shows(/Wick Fenlow/);
  assert.ok((await driver.findElements(By.css('main ul > li'))).length < 40);
});

test('found by typing, from the keyboard', async () => {
  const { bench } = screen;
  await to('/clients');
  await shows(/clients/);
  await bench.press('/');
  await bench.press('trimmer');
  await shows(/1 client with “trimmer”/);
  await shows(/Pell Ambry/);
  await find('nobody at all');
  await shows(/No client is called that/);
});

test('a client is added: faults are told in words, nothing typed is lost, and the tape’s figures are kept with their day', async () => {
  const { bench, driver } = screen;
  await to('/clients/new');
  await bench.type('Called', 'Orly');
  await (await bench.button('Save')).click();
  await shows(/Not saved yet: Name is missing\./);
  assert.equal(await bench.value('Called'), 'Orly');
  await bench.type('Name', 'Orla Tarwick');
  await (await bench.one('(//button[normalize-space()="take"])[1]')).click();
  await bench.type('Front drop', 'wide');
  await shows(/Front drop is not a length: “wide”/);
  await bench.type('Front drop', '17 3/4 in');
  await driver.navigate().refresh();
  await shows(/What you had typed here and not saved is still in the fields/);
  assert.equal(await bench.value('Name'), 'Orla Tarwick');
  await bench.chord(Key.CONTROL, 's');
  await bench.waitFor(async () => /\/clients\/[0-9a-f-]{36}$/.test(await driver.getCurrentUrl()), 'not at its own address');
  const client = await kept('Orla');
  const [taken] = client.measures;
  assert.deepEqual([client.nickname, taken?.how, taken?.takenOn], ['Orly', 'tape', new Date().toISOString().slice(0, 10)]);
  assert.ok(Math.abs(taken!.mm - 450.85) < 0.01);
});

test('a measure is taken anew: the old one is kept, an estimate looks like one', async () => {
  const { bench } = screen;
  const before = await kept('Edrin');
  await to(`/clients/${before.id}`);
  await (await bench.one('(//button[normalize-space()="take anew"])[1]')).click();
  await bench.type('Front drop', '45');
  await (await bench.one('//label[normalize-space()="estimated"]')).click();
  await shows(/two times in three within 2 cm/);
  await (await bench.button('Undo (Ctrl + Z)')).click();
  await (await bench.button('Redo (Ctrl + Shift + Z)')).click();
  await (await bench.button('Save')).click();
  await shows(/Saved\./);
  const after = await kept('Edrin');
  assert.equal(after.measures.length, before.measures.length + 1);
  assert.deepEqual([after.measures[0]?.mm, after.measures[0]?.how], [450, 'estimate']);
});

test('put away, and brought back', async () => {
  const { bench } = screen;
  const { id } = await kept('Jory');
  await to(`/clients/${id}`);
  await (await bench.button('Put away')).click();
  await shows(/This client was put away/);
  assert.equal(await kept('Jory'), undefined);
  await to('/clients');
  await find('jory');
  await shows(/No client is called that/);
  await (await bench.one('//label[contains(., "put away")]//input')).click();
  await (await bench.one('//a[normalize-space()="Jory Saltreed"]')).click();
  await (await bench.button('Bring back')).click();
  await bench.waitFor(async () => (await kept('Jory'))?.id === id, 'not back');
});

test('somebody else changes the client meanwhile: told field by field, put together, nothing overwritten', async () => {
  const { bench, app } = screen;
  const client = await kept('Osric');
  await to(`/clients/${client.id}`);
  await bench.type('Called', 'Mine');
  await bench.type('Telephone', 'bell 9');
  const theirs = await fetch(`${app.address}/api/clients/${client.id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...client, nickname: 'Theirs', note: 'Taller still.' }),
  });
  assert.equal(theirs.status, 200);
  await (await bench.button('Save')).click();
  await shows(/Someone else changed this client while you did\. Nothing was overwritten\./);
  await shows(/Taller still\./);
  const together = await bench.button('Put both together and save');
  assert.equal(await together.isEnabled(), false, 'both changed what he is called: one has to be chosen');
  await (await bench.one('//tr[th[normalize-space()="Called"]]//label[contains(., "Mine")]')).click();
  await together.click();
  await shows(/Saved\./);
  const after = await kept('Osric');
  assert.deepEqual([after.nickname, after.phone, after.note], ['Mine', 'bell 9', 'Taller still.']);
});

test('records out of reach while saving: said, tried again, and saved once they are back', async () => {
  const { bench, app } = screen;
  const client = await kept('Wick');
  await to(`/clients/${client.id}`);
  await bench.type('Called', 'Wicky');
  app.gate.shut();
  await (await bench.button('Save')).click();
  await shows(/What you entered is safe here; saving goes on trying/);
  app.gate.open();
  await shows(/Saved\./);
  assert.equal((await kept('Wick')).nickname, 'Wicky');
});

test('an outfit is put together from what he can wear, and dresses him on the bench', async () => {
  const { bench } = screen;
  const client = await kept('Ineke');
  await to(`/clients/${client.id}`);
  await (await bench.one('//a[@aria-label="New outfit"]')).click();
  await bench.type('Name', 'Guild day');
  await bench.choose('Shirt', 'White, cutaway');
  await bench.choose('Jacket', 'House navy');
  await shows(/points of White, cutaway/);
  await bench.type('Belt line, in these trousers', '39.5');
  await (await bench.button('Save')).click();
  await shows(/Saved\.|dressed for/);
  await to(`/?client=${client.id}`);
  await bench.chosenKnot();
  await shows(/Guild day/);
  assert.equal(await bench.value('Front drop'), '39.5');
});

test('the bench finds any client by typing, and takes his habits', async () => {
  const { bench } = screen;
  await (await bench.one('//span[normalize-space()="Client"]/following-sibling::button')).click();
  await (await bench.one('//input[@placeholder="find …"]')).sendKeys('Guest 2999');
  await (await bench.one('//*[@role="option"][contains(., "Guest 2999")]')).click();
  await shows(/Height is missing/);
  await bench.choose('Client', 'Bram');
  await bench.waitFor(async () => (await bench.chosenKnot()) === 'Windsor', 'his one knot was not taken');
});
