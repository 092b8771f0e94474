import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By, Key, type WebDriver, type WebElement } from 'selenium-webdriver';
import { steadyElement } from './steadyElement.ts';

// Long enough for a machine with other work; a wait ends as soon as what is waited for is there.
const patienceMs = 90_000;

/** The pages as their user sees and works them. */
export function fittingPageOf(driver: WebDriver, address: string) {
  const one = (xpath: string): Promise<WebElement> => steadyElement(driver, xpath, patienceMs);
  const text = async (testId: string) => (await one(`//*[@data-testid="${testId}"]`)).getText();
  const field = (label: string) => one(`//label[normalize-space()="${label}"]/following::input[1]`);
  const waitFor = async (what: () => Promise<boolean>, message: string, mostMs = patienceMs) => {
    await driver.wait(() => what().catch(() => false), mostMs, message);
  };

  /**
   * Until then a page is drawn, and deaf: its library marks elements while it takes them over, and says on the root whether it is
   * done with all of them. What is pressed in between is lost.
   */
  const isAlive = `
    return [...document.querySelectorAll('astro-island')].every((island) => {
      if (island.hasAttribute('ssr')) return false;
      const root = Object.keys(island).find((key) => key.startsWith('__reactContainer'));
      const drawn = island.querySelector(':scope > :not(template, script, link)');
      return root ? !island[root].stateNode.current.memoizedState.isDehydrated : !drawn;
    })`;
  const alive = () => driver.wait(() => driver.executeScript<boolean>(isAlive), patienceMs, 'no scripts took the page over');

  /** Waits until something reads as it should: a page takes a moment. Where it never does, tells what it reads instead. */
  const reads = async <T>(what: () => Promise<T>, wanted: T | RegExp, message?: string) => {
    let last: T | undefined;
    const fits = () => (wanted instanceof RegExp ? wanted.test(String(last)) : last === wanted);
    await waitFor(async () => {
      last = await what();
      return fits();
    }, '').catch(() => undefined);
    if (!fits())
      throw new Error(`${message ? `${message}: ` : ''}reads “${last}”, not ${wanted instanceof RegExp ? wanted : `“${wanted}”`}`);
  };

  return {
    one,
    alive,
    field,
    waitFor,
    reads,
    /** Goes to an address and waits until its scripts have taken the page over. */
    go: async (path: string) => {
      await driver.get(address + path);
      await alive();
    },
    /** Opens a page and waits until its scripts have taken it over. */
    open: async (path = '/') => {
      await driver.get(address + path);
      await alive();
      await one('//*[@data-testid="chosen-knot"] | //table | //*[@role="alert"] | //*[@role="listbox"] | //main//input | //main//ol');
    },
    /** Opens the first record of a kind that a word finds. */
    openRecord: async (kind: string, word: string) => {
      const { rows } = (await (await fetch(`${address}/api/${kind}?find=${encodeURIComponent(word)}`)).json()) as {
        rows: { id: string }[];
      };
      await driver.get(`${address}/${kind}/${rows[0]?.id}`);
      await alive();
      await one('//main//h1');
    },
    /** Chooses a file of this name and content where one is asked for. */
    importFile: async (name: string, content: string | Uint8Array) => {
      const folder = mkdtempSync(join(tmpdir(), 'ropewalk-file-'));
      writeFileSync(join(folder, name), content);
      await (await one('//input[@type="file"]')).sendKeys(join(folder, name));
      // The page reads it in its own time.
      process.once('exit', () => rmSync(folder, { recursive: true }));
    },
    chosenKnot: () => text('chosen-knot'),
    start: async () => (await text('start')).replaceAll('\n', ' '),
    firstPick: async () => (await (await one('//*[@data-rank="1"]')).getAttribute('data-knot')) ?? '',
    /** Exchanges one of the sentence's words. */
    choose: async (word: string, choice: string) => {
      const opener = `//button[span[normalize-space()="${word}:"]] | //span[normalize-space()="${word}"]/following-sibling::button | //label[normalize-space()="${word}"]/following-sibling::button`;
      // A page that is still moving under the hand may miss the first press.
      await waitFor(async () => {
        const button = await one(opener);
        if ((await button.getAttribute('aria-expanded')) === 'true') return true;
        await button.click();
        return false;
      }, `the choices of ${word} did not open`);
      if ((await driver.findElements(By.css('input[placeholder="Find"]'))).length > 0)
        await (await one('//input[@placeholder="Find"]')).sendKeys(choice);
      await (await one(`//*[@role="option"][contains(., "${choice}")]`)).click();
      await driver.wait(async () => (await driver.findElements(By.xpath(`//button[contains(., "${choice}")]`))).length > 0, patienceMs);
    },
    turnTo: async (tab: string) => (await one(`//*[@role="tab"][starts-with(normalize-space(), "${tab}")]`)).click(),
    type: async (label: string, value: string) => {
      const input = await field(label);
      await input.sendKeys(Key.chord(Key.CONTROL, 'a'), value || Key.BACK_SPACE);
    },
    value: async (label: string) => (await field(label)).getAttribute('value'),
    press: (...keys: string[]) =>
      driver
        .actions()
        .sendKeys(...keys)
        .perform(),
    chord: (...keys: string[]) => {
      let actions = driver.actions();
      for (const key of keys) actions = actions.keyDown(key);
      for (const key of keys.toReversed()) actions = actions.keyUp(key);
      return actions.perform();
    },
    button: (name: string) => one(`//button[normalize-space()="${name}" or @aria-label="${name}"]`),
    status: async () => (await one('//*[@id="save-told"]')).getText(),
    /** All that can be read on the page. The browser’s own telling of it: the driver’s goes through every element, and is asked again and again. */
    body: async () =>
      (await driver.executeScript<string>('return document.body.innerText')).replaceAll('\u00a0', ' ').replace(/[ \t]*\n\s*/g, '\n'),
  };
}

export type FittingScreen = ReturnType<typeof fittingPageOf>;
