import { openBrowser } from '../machine/browser.ts';
import { fittingPageOf } from '../machine/fittingPage.ts';
import type { CrowdedStudio } from './crowdedStudio.ts';
import { report } from './report.ts';

const shirts = ['House white, cutaway', 'Pale blue, point', 'White poplin', 'House white, semi-spread', 'House white, cutaway'];
/** What the browser calls a long task, ms. */
const longMs = 50;

/** Some 300 ties times 85 knots for one outfit after another: how long the worker takes, and whether the page is ever held up. */
export async function benchTies({ address }: CrowdedStudio): Promise<void> {
  const browser = await openBrowser();
  const page = fittingPageOf(browser.driver, address);
  const judged = () => page.waitFor(async () => /can be worn with it, best first/.test(await page.body()), 'the ties were not judged');
  try {
    await page.open('/');
    await page.choose('Client', 'Tobiah');
    await page.press('a');
    await page.waitFor(async () => /7-move knot/.test(await page.body()), 'not all knots');
    await page.open('/which-tie');
    await judged();
    await browser.driver.executeScript(`
      window.longTasks = [];
      new PerformanceObserver((list) => window.longTasks.push(...list.getEntries().map((entry) => entry.duration))).observe({ type: 'longtask' });`);
    const times: number[] = [];
    for (const shirt of shirts) {
      await page.choose('Shirt', shirt);
      const from = performance.now();
      await page.waitFor(async () => !/best first/.test(await page.body()), 'judging did not begin').catch(() => undefined);
      await judged();
      times.push(performance.now() - from);
    }
    const long = await browser.driver.executeScript<number[]>('return window.longTasks');
    const ties = /of (\d+) ties can be worn/.exec(await page.body())?.[1] ?? '?';
    report([
      [`${ties} ties × 85 knots, in the worker`, `${(Math.max(...times) / 1000).toFixed(1)} s`, 'the slowest of five outfits'],
      [
        `tasks over ${longMs} ms on the page`,
        `${long.length}`,
        long.length > 0 ? `longest ${Math.max(...long).toFixed(0)} ms` : 'none meanwhile',
      ],
    ]);
  } finally {
    await browser.quit();
  }
}
