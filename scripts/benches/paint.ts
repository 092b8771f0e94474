import type { WebDriver } from 'selenium-webdriver';
import { openBrowser } from '../machine/browser.ts';
import { fittingPageOf } from '../machine/fittingPage.ts';
import type { CrowdedStudio } from './crowdedStudio.ts';
import { report } from './report.ts';

/** So often everything is measured in turns: a machine is not as quick in one minute as in the next. */
const rounds = 3;
const moves = 40;
/** A hand that drags is beyond its first moves soon, and by then a page is compiled. */
const warmingMoves = 20;
const frameMs = 1000 / 60;

/** Presses a key on a handle again and again; how long until the picture that follows from it stands, ms. */
const pressed = `
  const [selector, count, done] = arguments;
  const took = [];
  const press = (left) => {
    if (left === 0) return done(took);
    const handle = document.querySelector(selector);
    const from = performance.now();
    handle.dispatchEvent(new KeyboardEvent('keydown', { key: left % 2 ? 'ArrowDown' : 'ArrowUp', bubbles: true }));
    // The first of the two comes before the next picture is painted, the second after it.
    requestAnimationFrame(() => requestAnimationFrame(() => {
      took.push(performance.now() - from);
      setTimeout(() => press(left - 1), 60);
    }));
  };
  press(count);`;

/** A bare page on which a key moves one mark. */
const bare = `
  document.body.innerHTML = '<div id="bare" tabindex="0">0</div>';
  document.querySelector('#bare').addEventListener('keydown', ({ currentTarget, key }) => {
    currentTarget.style.transform = 'translateY(' + (key === 'ArrowDown' ? 1 : 0) + 'px)';
  });`;

/** A handle's move to the next paint of figure and ranking, of the close-up beside them, and of the walk, against a bare mark. */
export async function benchPaint({ address }: CrowdedStudio): Promise<void> {
  const browser = await openBrowser();
  try {
    const { driver } = browser;
    await driver.manage().setTimeouts({ script: 120_000 });
    const page = fittingPageOf(driver, address);
    const took = { choice: [] as number[], collar: [] as number[], walk: [] as number[], mark: [] as number[] };
    for (let round = 0; round < rounds; round++) {
      await page.open('/');
      took.choice.push(...(await timed(driver, '[role=slider][aria-label="Collar button to belt"]')));
      took.collar.push(...(await timed(driver, '[role=slider][aria-label="Collar spread"]')));
      await page.go('/?stage=set');
      await page.one('//*[@role="slider"][@aria-label="Width of the blade"]');
      took.walk.push(...(await timed(driver, '[role=slider][aria-label="Width of the blade"]')));
      await driver.executeScript(bare);
      took.mark.push(...(await timed(driver, '#bare')));
    }
    report([
      ['a bare mark', `${at(took.mark, 0.5).toFixed(0)} ms`, ''],
      // While a hand moves the belt the close-up waits: it shows hardly anything of it.
      line('belt: figure, ranking', took.choice, took.mark),
      line('spread: figure, close-up, ranking', took.collar, took.mark),
      line('blade: figure, start, walk', took.walk, took.mark),
    ]);
  } finally {
    await browser.quit();
  }
}

async function timed(driver: WebDriver, selector: string): Promise<readonly number[]> {
  await driver.executeAsyncScript(pressed, selector, warmingMoves);
  return driver.executeAsyncScript<number[]>(pressed, selector, moves);
}

function at(took: readonly number[], share: number): number {
  return took.toSorted((a, b) => a - b)[Math.floor(share * (took.length - 1))] ?? 0;
}

/** How much longer than for a bare mark, in frames of a sixtieth of a second. */
function line(what: string, took: readonly number[], mark: readonly number[]): readonly [string, string, string] {
  const frames = (share: number) => ((at(took, share) - at(mark, share)) / frameMs).toFixed(1);
  return [what, `${at(took, 0.5).toFixed(0)} ms`, `${frames(0.5)} frames more than bare; 95th of 100: ${frames(0.95)}`];
}
