import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import { openScreen } from '../support/screen.ts';

const manyTies = 400;

/** With a rack so full that judging it takes a while. */
const screen = openScreen(
  ({ sql }) => sql`
    insert into ties (id, studio_id, label, length_mm, blade_mm, neck_mm, neck_at_mm, tail_mm, thickness_mm, keeper_mm, fabric, pattern, colours)
    select gen_random_uuid(), (select id from studios), 'Spare ' || n, 1440 + n % 60, 60 + n % 40, 30, 830, 42, 2 + (n % 20) / 10.0, 220,
      'wool', 'solid', array['#' || lpad(to_hex(4210752 + n * 9000), 6, '0')]
    from generate_series(1, ${manyTies}::int) as n`,
);
beforeEach(() => screen.startAfresh('Tobiah'));

const places = async () => {
  const options = await screen.driver.findElements(By.css('[role=option][data-place]'));
  return Promise.all(options.map(async (option) => (await option.getText()).split('\n')[0] ?? ''));
};
const judged = () =>
  screen.page.waitFor(async () => /ties work with this outfit, best match first/.test(await screen.page.body()), 'not judged');

async function toTheTies() {
  await screen.page.go(`/choose-a-tie`);
  await screen.page.one('//*[@role="listbox"][@aria-label="Ties, best match first"]');
}

test('every tie is judged for the outfit at the fitting, while the page stays responsive', async () => {
  const { page, driver } = screen;
  await toTheTies();
  await judged();
  await page.reads(() => page.body(), new RegExp(`of ${manyTies + 5} ties work with this outfit`));
  const drawn = (await places()).length;
  assert.ok(drawn > 5 && drawn < 40, `${drawn} ties drawn: only those in sight`);
  const first = (await places())[0];
  await page.choose('Shirt', 'House white, cutaway');
  await judged();
  await page.waitFor(async () => (await places())[0] !== first, 'another collar asks for another tie');
  await driver.findElement(By.css('[role=listbox][aria-label="Ties, best match first"]')).sendKeys(Key.ARROW_DOWN);
  const second = (await places())[1];
  await page.waitFor(
    async () => (await (await page.one('//section[@aria-label="The tie with the outfit"]//h1/a')).getText()) === second,
    'the next tie by key',
  );
});

test('judging can be stopped, and begun again', async () => {
  const { page, driver } = screen;
  // So many knots that a hand is quicker.
  const { pathname, searchParams } = new URL(await driver.getCurrentUrl());
  searchParams.set('search.knots', 'all');
  searchParams.set('search.maxMoves', '12');
  await page.open(`${pathname}?${searchParams}`);
  await page.waitFor(async () => /Knot 12\./.test(await page.body()), 'not all knots');
  await toTheTies();
  // Another client's ties are judged until theirs have come.
  await page.waitFor(async () => new RegExp(`of ${manyTies + 5} ties`).test(await page.body()), 'not their ties');
  // What was stopped first may still have been that of the client before: a hand presses again.
  await page.waitFor(async () => {
    if (/ties judged, then stopped\./.test(await page.body())) return true;
    for (const stop of await driver.findElements(By.xpath('//button[normalize-space()="Stop"]'))) await stop.click();
    return false;
  }, 'not stopped');
  const before = /(\d+) of \d+ ties judged/.exec(await page.body())?.[1];
  assert.ok(Number(before) < manyTies);
  await (await page.button('Judge them all')).click();
  await judged();
});

test('given the outfit, of the ties only those in sight are drawn, each with its knots, and the last is reached', async () => {
  const { page, driver } = screen;
  await (await page.one('//label[normalize-space()="the outfit"]')).click();
  await page.reads(() => page.body(), new RegExp(`${manyTies + 5} ties, best first`));
  const ties = () => driver.findElements(By.css('[data-tie]'));
  await page.waitFor(async () => (await ties()).length > 3, 'none is drawn');
  assert.ok((await ties()).length < 40, `${(await ties()).length} ties drawn`);
  await driver.executeScript(
    `const list = document.querySelector('ul[aria-label="Ties, best first"]'); list.parentElement.scrollTop = list.scrollHeight;`,
  );
  await page.one(`//li[@data-tie and @aria-posinset="${manyTies + 5}"]`);
});

test('a tie is taken to the fitting with the outfit', async () => {
  const { page } = screen;
  await toTheTies();
  await judged();
  const tie = (await places())[0] ?? '';
  await (await page.button('Use in fitting')).click();
  await page.chosenKnot();
  for (const worn of [tie, 'Tobiah Wrenfield'])
    await page.waitFor(async () => (await page.body()).includes(worn), `${worn} is not at the fitting`);
});

test('the brief: what to look for, and a tie in the hand against all that the client wears', async () => {
  const { page } = screen;
  await screen.page.go(`/buying-brief`);
  const drawing = await page.one('//*[starts-with(@aria-label, "Ties that would serve: blade")]');
  const label = await drawing.getAttribute('aria-label');
  await page.choose('Shirt', 'Pale blue');
  await page.waitFor(
    async () => (await (await page.one('//*[starts-with(@aria-label, "Ties that would serve")]')).getAttribute('aria-label')) !== label,
    'the same brief',
  );
  for (const said of [/White poplin, semi-spread/, /Pale blue, point/, /Swamps the point collar/])
    await page.waitFor(async () => said.test(await page.body()), `nothing says ${said}`);
  await page.type('Thickness', 'fat');
  await page.waitFor(async () => /Thickness is not a length: “fat”/.test(await page.body()), 'no word of it');
  await page.reads(() => page.value('Thickness'), 'fat');
  await page.type('Thickness', '1.8');
  await page.type('Blade', '6');
  await page.waitFor(async () => /Sits well in the point collar/.test(await page.body()), 'a slim thin tie suits the point collar');
});

test('a tie in a shop survives a reload, and goes into the wardrobe with what was measured of it', async () => {
  const { page, driver } = screen;
  await page.go('/buying-brief');
  await page.type('Blade', '7.3');
  await page.press(Key.TAB);
  const kept = () => driver.executeScript<string | null>("return sessionStorage.getItem('ropewalk.shop-tie')");
  await page.waitFor(async () => /"bladeMm":73\b/.test((await kept()) ?? ''), 'not kept');
  await driver.navigate().refresh();
  await page.alive();
  await page.waitFor(async () => (await (await page.field('Blade')).getAttribute('value')) === '7.3', 'lost');
  await (await page.one('//a[normalize-space()="Bought: add it to the wardrobe"]')).click();
  await page.waitFor(async () => /\/ties\/new/.test(await driver.getCurrentUrl()), 'not at a new tie');
  await page.alive();
  await page.reads(() => page.value('Blade'), '7.3');
});
