import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import { openScreen } from '../support/screen.ts';

const manyTies = 300;

/** With a rack so full that judging it takes a while. */
const screen = openScreen(
  ({ sql }) => sql`
    insert into ties (id, studio_id, label, length_mm, blade_mm, neck_mm, neck_at_mm, tail_mm, thickness_mm, keeper_mm, fabric, pattern, colours)
    select gen_random_uuid(), (select id from studios), 'Spare ' || n, 1440 + n % 60, 60 + n % 40, 30, 830, 42, 2 + (n % 20) / 10.0, 220,
      'wool', 'solid', array['#' || lpad(to_hex(4210752 + n * 9000), 6, '0')]
    from generate_series(1, ${manyTies}::int) as n`,
);
beforeEach(() => screen.startAfresh());

const places = async () => {
  const options = await screen.driver.findElements(By.css('[role=option][data-place]'));
  return Promise.all(options.map(async (option) => (await option.getText()).split('\n')[0] ?? ''));
};
const judged = () => screen.bench.waitFor(async () => /ties can be worn with it, best first/.test(await screen.bench.body()), 'not judged');

async function toTheRack() {
  await screen.driver.get(`${screen.app.address}/which-tie`);
  await screen.bench.one('//*[@role="listbox"][@aria-label="Ties, best first"]');
}

test('the whole rack is judged for the outfit on the bench, while the page stays responsive', async () => {
  const { bench, driver } = screen;
  await bench.choose('Client', 'Tobiah');
  await toTheRack();
  await judged();
  assert.match(await bench.body(), new RegExp(`of ${manyTies + 5} ties can be worn`));
  const drawn = (await places()).length;
  assert.ok(drawn > 5 && drawn < 40, `${drawn} ties drawn: only those in sight`);
  const first = (await places())[0];
  await bench.choose('Shirt', 'House white, cutaway');
  await judged();
  await bench.waitFor(async () => (await places())[0] !== first, 'another collar asks for another tie');
  await driver.findElement(By.css('[role=listbox][aria-label="Ties, best first"]')).sendKeys(Key.ARROW_RIGHT);
  const second = (await places())[1];
  await bench.waitFor(async () => (await (await bench.one('//h2')).getText()) === second, 'the next tie by key');
});

test('judging can be stopped, and begun again', async () => {
  const { bench } = screen;
  await bench.press('a');
  await bench.waitFor(async () => /7-move knot/.test(await bench.body()), 'not all knots');
  await toTheRack();
  await (await bench.button('Stop')).click();
  await bench.waitFor(async () => /ties judged, then stopped\./.test(await bench.body()), 'not stopped');
  const before = /(\d+) of \d+ ties judged/.exec(await bench.body())?.[1];
  assert.ok(Number(before) < manyTies);
  await (await bench.button('Judge them all')).click();
  await judged();
});

test('a tie is taken to the bench with the outfit', async () => {
  const { bench } = screen;
  await bench.choose('Client', 'Tobiah');
  await toTheRack();
  await judged();
  const tie = (await places())[0] ?? '';
  await (await bench.button('Take it to the bench')).click();
  await bench.chosenKnot();
  assert.ok((await bench.body()).includes(tie));
  assert.ok((await bench.body()).includes('Tobiah Wrenfield'));
});

test('the brief: what to look for, and a tie in the hand against all that he wears', async () => {
  const { bench } = screen;
  await bench.choose('Client', 'Tobiah');
  await screen.driver.get(`${screen.app.address}/brief`);
  const drawing = await bench.one('//*[starts-with(@aria-label, "Ties that would serve: blades from")]');
  const label = await drawing.getAttribute('aria-label');
  await bench.choose('Shirt', 'Pale blue');
  await bench.waitFor(
    async () => (await (await bench.one('//*[starts-with(@aria-label, "Ties that would serve")]')).getAttribute('aria-label')) !== label,
    'the same brief',
  );
  const body = await bench.body();
  assert.match(body, /White poplin, semi-spread/);
  assert.match(body, /Pale blue, point/);
  assert.match(body, /Swamps the point collar/);
  await bench.type('Thickness', 'fat');
  await bench.waitFor(async () => /Thickness is not a length: “fat”/.test(await bench.body()), 'no word of it');
  assert.equal(await bench.value('Thickness'), 'fat');
  await bench.type('Thickness', '1.8');
  await bench.type('Blade', '6');
  await bench.waitFor(async () => /Sits well in the point collar/.test(await bench.body()), 'a slim thin tie suits the point collar');
});
