import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import type { Fitting, FittingSummary } from '../../src/contract/fitting.ts';
import type { Page } from '../../src/contract/records/records.ts';
import { openScreen } from '../support/screen.ts';

const screen = openScreen();
beforeEach(() => screen.forget());

const shows = (what: RegExp) => screen.page.waitFor(async () => what.test(await screen.page.body()), `nothing says ${what}`);
const press = (...keys: string[]) =>
  screen.driver
    .actions()
    .sendKeys(...keys)
    .perform();
const figure = async (name: string) => Number.parseFloat(await (await screen.page.one(`//*[@data-testid="${name}"]`)).getText());
const openSheet = async (name: string) => {
  await (await screen.page.one(`//*[@role="tab"][contains(., "${name}")]`)).click();
};

test('the same start, hanging open, crossed and snug, and in every way of telling it', async () => {
  const { page } = screen;
  await page.open('/?stage=set');
  const lie = async (name: string) => {
    await (await page.one(`//legend[.="How the tie lies"]/following::label[normalize-space()="${name}"]`)).click();
    await page.one(
      `//*[@role="group"][contains(@aria-label, "before tying, ${name === 'open' ? 'hanging open' : name === 'crossed' ? 'ends crossed' : 'snug'}")]`,
    );
    return figure('start');
  };
  const [open, crossed, snug] = [await lie('open'), await lie('crossed'), await lie('snug')];
  assert.ok(open - snug > 2.5, `hanging open ${open} and snug ${snug} lie more than the tolerance apart`);
  assert.ok(crossed < snug, 'crossed, the loose loop has taken some of the tail');
  await (await page.one('//label[contains(., "fold the tail")]')).click();
  await page.waitFor(async () => Math.abs((await figure('start')) - snug) < 0.3, 'the mark is not where the tail is, snug');
  await screen.driver.navigate().refresh();
  await page.alive();
  await page.one('//*[@role="group"][contains(@aria-label, "snug")]');
});

test('a fitting of three attempts by keyboard: each teaches the next, all are kept in order, and the last one lands', async () => {
  const { page, driver } = screen;
  await page.open('/?stage=set');
  let tied: string | null = null;
  const told: number[] = [await figure('start')];
  for (const [i, ended] of ['6', '2', '1'].entries()) {
    // The sheet is walked to by its tabs, from whichever is open.
    await driver.executeScript("document.querySelector('[role=tab][aria-selected=true]').focus()");
    await press(Key.END);
    const field = await page.one('//label[contains(., "blade tip ended")]/following-sibling::input');
    await driver.executeScript('arguments[0].focus()', field);
    await press(ended);
    if (i < 2) await press(Key.TAB, Key.ARROW_RIGHT);
    await driver.executeScript('arguments[0].focus()', field);
    await press(Key.ENTER);
    await page.waitFor(
      async () => (await driver.findElements(By.xpath('//ol[@aria-label="Attempts"]/li'))).length === i + 1,
      `attempt ${i + 1} is not kept`,
    );
    told.push(Number.parseFloat(await (await page.one('//*[@data-testid="next-start"]')).getText()));
    const [, set] = /tail tip ([\d.]+) cm, crossed/.exec(await page.body()) ?? [];
    assert.equal(Number(set), told.at(-1), 'the start told next is the start that is then set');
    if (i === 0) {
      await page.waitFor(async () => (await driver.getCurrentUrl()).includes('attempts='), 'the address does not tell of it');
      tied = new URL(await driver.getCurrentUrl()).searchParams.get('knot');
    }
  }
  assert.equal(new URL(await driver.getCurrentUrl()).searchParams.get('knot'), tied, 'the knot stays in hand');
  const [first = 0, second = 0, third = 0, last = 0] = told;
  assert.ok(second > first + 3, `6 cm too low: the tail goes down, ${first} to ${second}`);
  assert.ok(third > second, `still too low: ${second} to ${third}`);
  assert.ok(Math.abs(last - third) <= 1, `it landed: ${third} to ${last}`);
  const attempts = await driver.findElements(By.xpath('//ol[@aria-label="Attempts"]/li'));
  assert.deepEqual(await Promise.all(attempts.map(async (each) => (await each.getText()).match(/\d(\.\d)? cm \w+/)?.[0])), [
    '6 cm below',
    '2 cm below',
    '1 cm above',
  ]);

  const inAddress = async () => JSON.parse(new URL(await driver.getCurrentUrl()).searchParams.get('attempts') ?? '[]').length === 3;
  await page.waitFor(inAddress, 'the address does not tell of them');
  await screen.driver.navigate().refresh();
  await page.alive();
  await shows(/three|3 attempts/);
  await (await page.button('Save fitting')).click();
  await shows(/Saved/);
  const { rows }: Page<FittingSummary> = await (await fetch(`${screen.app.address}/api/fittings`)).json();
  const [summary] = rows;
  const fitting: Fitting = await (await fetch(`${screen.app.address}/api/fittings/${summary?.id}`)).json();
  assert.deepEqual(
    fitting.attempts.map(({ tipOffMm }) => tipOffMm),
    [60, 20, -10],
  );
});

test('pinched before the tuck: as it should be, go on; far too low, undo and move', async () => {
  const { page } = screen;
  await page.open('/?stage=set');
  await openSheet('Pinch check');
  await shows(/The tip should hang .* above the belt top/);
  const field = await page.one('//label[normalize-space()="Seen"]/following-sibling::input');
  await field.sendKeys('2');
  await shows(/Go on: ends within tolerance/);
  const handle = await page.one('//*[@role="slider"][@aria-label="Blade tip"]');
  await screen.driver.executeScript('arguments[0].focus()', handle);
  await press(...Array<string>(8).fill(Key.PAGE_UP));
  await shows(/Undo, and set the tail tip [\d.]+ cm lower/);
  await field.sendKeys(Key.chord(Key.CONTROL, 'a'), 'far');
  await shows(/Allowed: 0–35 cm/);
});

test('hung level for ten seconds, the open loop is known, kept with the client, and the start follows', async () => {
  const { page, driver } = screen;
  await page.open('/?stage=set');
  await openSheet('Measure in ten seconds');
  await (await page.one('//label[.="Both tips hang at"]/following-sibling::input')).sendKeys('58');
  await shows(/Open loop/);
  await (await page.button('Use it now')).click();
  await page.waitFor(async () => /openLoopMm/.test(await driver.getCurrentUrl()), 'the address does not say it');
  await (await page.one('//button[starts-with(@aria-label, "Keep ")]')).click();
  await page.waitFor(async () => {
    const { rows } = await (await fetch(`${screen.app.address}/api/clients`)).json();
    return rows.some(({ measures }: { measures: { measure: string }[] }) => measures.some(({ measure }) => measure === 'openLoopMm'));
  }, 'the open loop is not on record');
});

test('a knot that won’t work: what would make it work is one press away, and can be undone', async () => {
  const { page, driver } = screen;
  await page.open(
    '/?stage=set&question.tie.lengthMm=1180&tie.neckAtMm=675&knot=Li-Co-Ri-Lo-Ci-Ro-Li-Co-T&client=walk-in&tie.lengthMm=1180',
  );
  await shows(/won’t work|too short/i);
  const first = await page.one('//ol[@aria-label="What would make it work"]//button');
  const says = await first.getText();
  await first.click();
  await page.one('//*[@data-testid="start"]');
  assert.ok(says.length > 5);
  await (await driver.findElement(By.css('[aria-label^="Undo"]'))).click();
  await page.one('//ol[@aria-label="What would make it work"]');
});

test('tied on a stand and handed over: the tail takes up what the necks differ by, and the blade hangs alike', async () => {
  const { page } = screen;
  await page.open('/?stage=set');
  const tips = async () => {
    const body = await page.body();
    const at = (end: string) => Number(new RegExp(`${end} tip ([\\d.]+) cm below the collar button`, 'i').exec(body)?.[1]);
    return { tail: at('tail'), blade: at('blade') };
  };
  const select = await page.one('//label[span[.="Tied"]]/select');
  // The same hands tie in both: what they were seen to do goes along.
  await (await select.findElement(By.css('option[value="facing"]'))).click();
  const own = await tips();
  await (await select.findElement(By.css('option[value="stand"]'))).click();
  const neck = await page.one('//label[.="Around the stand’s neck"]/following-sibling::input');
  await neck.sendKeys('30');
  await page.waitFor(async () => (await tips()).tail > own.tail + 2, 'the tail is where it was');
  assert.equal((await tips()).blade, own.blade);
});
