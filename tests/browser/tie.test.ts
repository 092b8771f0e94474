import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import type { Practice } from '../../src/contract/practice.ts';
import { movesTold } from '../../src/core/guide/movesTold.ts';
import { parseKnot } from '../../src/core/index.ts';
import { paces } from '../../src/islands/fitting/tie/useTying.ts';
import { developing, openScreen } from '../support/screen.ts';

const screen = openScreen();
/** Stills stand at once: what moves is drawn by software here, and takes its time. */
const move = (how: 'reduce' | 'no-preference') =>
  developing(screen.driver).sendDevToolsCommand('Emulation.setEmulatedMedia', {
    features: [{ name: 'prefers-reduced-motion', value: how }],
  });
beforeEach(async () => {
  await screen.forget();
  await move('reduce');
});

const windsor = 'Li Co Ri Lo Ci Ro Li Co T';
const told = (seat: 'mirror' | 'facing' | 'behind', blade: 'left' | 'right', moves = windsor) =>
  movesTold(parseKnot(moves), { seat, blade, pins: 'left' }).map(({ say }) => say);
const shows = (what: string | RegExp) =>
  screen.page.waitFor(async () => {
    const body = await screen.page.body();
    return typeof what === 'string' ? body.includes(what) : what.test(body);
  }, `nothing says ${what}`);
/** The step at hand says this; the one after it is told too. */
const says = (what: string) =>
  screen.page.waitFor(
    async () => (await (await screen.page.one('//p[@aria-live="polite"] | //span[@aria-live="polite"]')).getText()).includes(what),
    `the step at hand does not say ${what}`,
  );
const press = (...keys: string[]) =>
  screen.driver
    .actions()
    .sendKeys(...keys)
    .perform();
const at = async () => Number(await (await screen.page.one('//*[@data-step]')).getAttribute('data-step'));
const openSheet = async (name: string) => {
  await (await screen.page.one(`//*[@role="tab"][contains(., "${name}")]`)).click();
};
const tie = async (moves: string) => {
  const { rows } = (await (await fetch(`${screen.app.address}/api/clients?find=Tobiah`)).json()) as { rows: { id: string }[] };
  await screen.page.open(`/?client=${rows[0]!.id}&stage=tie&knot=${moves.replaceAll(' ', '-')}`);
  await screen.page.one('//canvas[@data-drawn="true"]');
};
/** The picture as bytes, so that two can be compared. */
const pictured = () => screen.driver.executeScript<string>(`return document.querySelector('canvas[data-drawn=true]').toDataURL()`);
test('the Windsor tied along facing the client, by keyboard from the laying-on to the pin, and the place kept over a reload', async () => {
  const { page, driver } = screen;
  await tie(windsor);
  const sentences = told('facing', 'right');
  await shows('The blade hangs on your left, the client’s right.');
  const pictures = new Set<string>();
  for (const [i, say] of sentences.entries()) {
    await press(Key.SPACE);
    await says(say);
    assert.equal(await at(), i + 1);
    if (i < 3) {
      await page.waitFor(async () => pictures.size < pictures.add(await pictured()).size, 'the picture stood still');
    }
  }
  await shows(/Pinched shut, the tip should hang/);
  await press('b');
  await says(sentences.at(-2)!);
  await driver.navigate().refresh();
  await page.alive();
  await says(sentences.at(-2)!);
  for (const [key, say] of [
    [Key.PAGE_DOWN, sentences.at(-1)!],
    ['f', 'down through the front band'],
    [Key.ARROW_RIGHT, 'middle'],
    [Key.ENTER, 'draw the blade down'],
    [Key.SPACE, 'slide the knot up to the button, slowly'],
    [Key.SPACE, 'curves forward'],
    [Key.SPACE, 'from the nape forward'],
  ] as const) {
    await press(key);
    await says(say);
  }
  for (let i = 0; i < 5; i++) await press(Key.SPACE);
  await says('A tie pin or bar, where one is worn, comes last.');
  assert.equal(
    await driver.executeScript<boolean>(
      `return [...document.querySelectorAll('button')].find((each) => each.textContent === 'Next').disabled`,
    ),
    true,
  );
});

test('the view is switched at any step, all of it together: words, moves, sides and picture', async () => {
  const { page } = screen;
  await tie(windsor);
  await (await page.one('(//ol[@aria-label="Steps"]//button)[4]')).click();
  await says(told('facing', 'right')[2]!);
  const moves = async () => (await page.one('//section[@aria-label="Steps of the tying"]//span[contains(@class, "figures")]')).getText();
  const facing = await moves();
  const picture = await pictured();
  await press('s');
  await says(told('behind', 'right')[2]!);
  await page.waitFor(async () => (await pictured()) !== picture, 'the picture did not turn');
  assert.notEqual(await moves(), facing, 'written in the wearer’s view');
  await press('s');
  await says(told('mirror', 'right')[2]!);
  await page.reads(() => page.body(), /your left/);
  await press('s');
  await says(told('facing', 'right')[2]!);
  assert.equal(await moves(), facing);
});

test('from step to step the cloth moves, and it can be led by hand; stills where movement is not wanted', async () => {
  const { page, driver } = screen;
  await tie('Li Ro Li Co T');
  const shown = () => driver.executeScript<number>(`return Number(document.querySelector('input[type=range]').value)`);
  await press('f');
  assert.equal(await shown(), 1, 'a still');
  await move('no-preference');
  // What stands there at every frame is noted in the page: frames are slow here, and asking from outside is slower.
  await driver.executeScript(`
    window.shownAt = [];
    const note = () => { window.shownAt.push(Number(document.querySelector('input[type=range]').value)); requestAnimationFrame(note); };
    note();`);
  await press('f');
  await page.waitFor(async () => (await shown()) === 2, 'it never arrived');
  const between = await driver.executeScript<number[]>('return window.shownAt.filter((at) => at > 1 && at < 2)');
  assert.ok(between.length > 0, 'nothing moved');
  assert.deepEqual(
    between,
    between.toSorted((a, b) => a - b),
    'straight on',
  );
  const [still, slider] = [await pictured(), await page.one('//input[@type="range"]')];
  await slider.sendKeys(Key.ARROW_RIGHT, Key.ARROW_RIGHT);
  assert.ok((await shown()) > 2 && (await shown()) < 2.2);
  await page.waitFor(async () => (await pictured()) !== still, 'the picture does not follow the hand');
});

test('whoever is lost answers two questions and stands at the step again; a tangle of no step is called by another knot’s name', async () => {
  const { page } = screen;
  await tie('Li Ro Ci Lo Ri Co T');
  const say = told('facing', 'right', 'Li Ro Ci Lo Ri Co T');
  await openSheet('I’m lost');
  await (await page.one('//label[normalize-space()="behind, out of sight"]')).click();
  await (await page.one('//label[normalize-space()="its seam side"]')).click();
  await (await page.one('//button[contains(., "After move 3")]')).click();
  await says(say[2]!);
  await openSheet('I’m lost');
  await (await page.one('//summary[contains(., "what was done")]')).click();
  for (const move of ['across the front to the right', 'up and out through the throat'])
    await (await page.one(`//button[.="${move}"]`)).click();
  await shows(/From move 2 on it is no longer this knot/);
  await page.one('//a[contains(., "Windsor")]');
});

test('a run against the clock is kept for its learner and told in the roster', async () => {
  const { page, app } = screen;
  await tie('Lo Ri Co T');
  await openSheet('Practice');
  await (await page.one('//label[contains(., "Learner")]//option[contains(., "Odo")]')).click();
  await (await page.one('//button[.="Start the clock"]')).click();
  for (let i = 1; i <= 3; i++) {
    await (await page.one('//button[.="Next"]')).click();
    if (i < 3) await page.waitFor(async () => (await at()) === i, `not at step ${i}`);
  }
  await shows(/Done in \d+ s/);
  await (await page.one('//label[contains(., "Remark")]/input')).sendKeys('Calm hands.');
  await (await page.one('//button[contains(., "Keep for Odo")]')).click();
  await shows(/Kept\./);
  const { rehearsals } = (await (await fetch(`${app.address}/api/practice`)).json()) as Practice;
  const kept = rehearsals.find(({ note }) => note === 'Calm hands.')!;
  assert.deepEqual([kept.knot, kept.part, kept.seconds.length, kept.clean], ['Lo Ri Co T', 'moves', 3, true]);
  await (await page.one('//a[contains(., "Who can tie what")]')).click();
  await page.alive();
  await shows(/Odo Fenwright[\s\S]*(Simple|Oriental)/);
  await page.one('//figure[contains(@aria-label, "Seconds a run")]//*[name()="svg"]');
});

test('a class goes through it on one clock, and what each did is kept for each', async () => {
  const { page, app } = screen;
  const runs = async () => ((await (await fetch(`${app.address}/api/practice`)).json()) as Practice).rehearsals;
  const before = new Set((await runs()).map(({ id }) => id));
  await tie('Lo Ri Co T');
  await openSheet('Practice');
  await (await page.one('//label[contains(., "Learner")]//option[.="Pilot cadets"]')).click();
  await shows(/Wren Saltmarsh|Odo Fenwright/);
  await shows(/never alone with a tied tie/);
  await (await page.one('//button[.="Start the clock"]')).click();
  for (let i = 1; i <= 3; i++) {
    await (await page.one('//button[.="Next"]')).click();
    if (i < 3) await page.waitFor(async () => (await at()) === i, `not at step ${i}`);
  }
  await (await page.one('//fieldset[legend="Wren Saltmarsh"]//label[contains(., "Without a slip")]/input')).click();
  await (await page.one('//fieldset[legend="Wren Saltmarsh"]//label[contains(., "went wrong")]/input')).sendKeys('Let go of the crossing.');
  await (await page.one('//button[.="Keep for all 2"]')).click();
  await shows(/Kept\./);
  const today = (await runs()).filter(({ id }) => !before.has(id));
  assert.deepEqual(today.map(({ clean }) => clean).toSorted(), [false, true]);
  assert.equal(today.find(({ clean }) => !clean)?.wrong, 'Let go of the crossing.');
  assert.deepEqual(today[0]?.seconds, today[1]?.seconds, 'one clock');
});

test('a knot that pulls open is shown with its standing end drawn out, by hand, and tied again when a step is pressed', async () => {
  const { page, driver } = screen;
  await tie('Li Ro Li Co T');
  await openSheet('Untie');
  const range = await page.one('//label[contains(., "Draw the tail out")]/input');
  const before = await pictured();
  await range.sendKeys(Key.END);
  await shows('The tail is out: the turns come loose.');
  await page.waitFor(async () => (await pictured()) !== before, 'the picture stood still');
  const out = await pictured();
  await (await page.one('(//ol[contains(@class, "list-decimal")]//button)[1]')).click();
  await page.waitFor(async () => (await pictured()) !== out, 'the tail stays out');
  await tie('Lo Ri Co T');
  await openSheet('Untie');
  await page.one('//ol[contains(@class, "list-decimal")]');
  assert.equal((await driver.findElements(By.xpath('//label[contains(., "Draw the")]'))).length, 0, 'this one does not pull open');
});

test('hands busy: in large, from a tap anywhere, by itself, and told by a voice that writes where there is none', async () => {
  const { page, driver } = screen;
  await tie('Li Ro Li Co T');
  await press('w');
  await page.one('//main[@aria-label="Tying in large"]');
  await (await page.one('//main//canvas[@data-drawn="true"]')).click();
  await says(told('facing', 'right', 'Li Ro Li Co T')[0]!);
  await (await page.one('//button[contains(@aria-label, "Next step after")]')).click();
  await says(told('facing', 'right', 'Li Ro Li Co T')[1]!);
  await (await page.one('//button[.="Back to the fitting"]')).click();
  await press('w');
  await page.one('//main[@aria-label="Tying in large"]');
  await press(Key.ESCAPE);
  await (await page.one('//button[@aria-label="Speak each step"]')).click();
  await shows(/This browser has no voice/);
  await driver.executeScript(countSteps);
  const next = () => driver.executeScript<number>('return window.stepsToCome.size');
  await press('y');
  await (await page.one('//label[normalize-space()="quick"]')).click();
  await page.waitFor(async () => (await at()) >= 4, 'it did not go on by itself');
  await page.reads(next, 1, 'no step is to come');
  await press('y');
  const stood = await at();
  await page.reads(next, 0, 'a step is still to come');
  assert.equal(await at(), stood, 'stopped');
});

/** Keeps count of what the page has put off by as long as a step stands when it goes on by itself. */
const countSteps = `
  const [put, take] = [window.setTimeout, window.clearTimeout];
  window.stepsToCome = new Set();
  window.setTimeout = (run, ms, ...given) => {
    const which = put(() => { stepsToCome.delete(which); run(...given); }, ms);
    if (${JSON.stringify(Object.values(paces).map(({ s }) => 1000 * s))}.includes(ms)) stepsToCome.add(which);
    return which;
  };
  window.clearTimeout = (which) => { stepsToCome.delete(which); take(which); };`;

test('moves written for someone else are read into this view, and what was assumed is said', async () => {
  const { page } = screen;
  await tie('Li Ro Li Co T');
  await openSheet('Read in');
  const field = await page.one('//label[contains(., "written elsewhere")]/input');
  await field.sendKeys('Ri Lo Ci Ro Li Co T');
  await shows('Half-Windsor');
  await shows(/Assumed: written .*; or /);
  await field.sendKeys(Key.chord(Key.CONTROL, 'a'), 'Li Lo T');
  await page.waitFor(async () => !(await page.body()).includes('Assumed'), 'still read');
  await field.sendKeys(Key.chord(Key.CONTROL, 'a'), 'Ri Lo Ci Ro Li Co T');
  await (await page.one('//button[.="Tie this one"]')).click();
  await page.waitFor(async () => (await screen.driver.getCurrentUrl()).includes('knot=Li-Ro-Ci-Lo-Ri-Co'), 'another knot is not in hand');
});

test('the card to take home goes on A5, A6 and a strip, a page of its own each, with a picture for every step', async () => {
  const { page, driver } = screen;
  await tie('Li Ro Li Co T');
  await openSheet('Card');
  await page.waitFor(
    async () => (await driver.findElements(By.css('section[aria-label="Card to take home"] image'))).length === 7,
    'the pictures are not painted',
  );
  for (const [label, wide, high] of [
    ['A5', 420, 595],
    ['A6', 298, 420],
    ['strip', 842, 595],
  ] as const) {
    await (await page.one(`//legend[.="Size of the card"]/following::label[normalize-space()="${label}"]`)).click();
    await page.one(`//html[@data-paper="${label.toLowerCase()}"]`);
    const { data } = await developing(driver).sendAndGetDevToolsCommand<{ data: string }>('Page.printToPDF', {
      preferCSSPageSize: true,
      printBackground: false,
    });
    const pdf = Buffer.from(data, 'base64').toString('latin1');
    const boxes = [...pdf.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map(([, w, h]) => [
      Math.round(Number(w)),
      Math.round(Number(h)),
    ]);
    assert.equal(boxes.length, 1, `${label}: ${boxes.length} pages`);
    assert.ok(Math.abs(boxes[0]![0]! - wide) < 3 && Math.abs(boxes[0]![1]! - high) < 3, `${label}: ${boxes[0]}`);
  }
});
