import { By, error, until, type WebDriver, type WebElement } from 'selenium-webdriver';

/**
 * The first element of an XPath, looked up anew whenever the page has drawn it again or moved it from under the pointer
 * between finding and using it, as a page whose lists are still arriving does.
 */
export async function steadyElement(driver: WebDriver, xpath: string, patienceMs: number): Promise<WebElement> {
  const locate = () => driver.wait(until.elementLocated(By.xpath(xpath)), patienceMs);
  let element: WebElement = await locate();
  const again = async (method: (...given: unknown[]) => unknown, given: unknown[]) => {
    const end = Date.now() + patienceMs;
    for (;;) {
      try {
        return await method.apply(element, given);
      } catch (fault) {
        const isGone = fault instanceof error.StaleElementReferenceError;
        const isMoved = fault instanceof error.ElementClickInterceptedError;
        if (!(isGone || isMoved) || Date.now() > end) throw fault;
        element = await locate();
      }
    }
  };
  const steadied = new Set<PropertyKey>([
    'click',
    'clear',
    'sendKeys',
    'getText',
    'getAttribute',
    'getRect',
    'getCssValue',
    'isDisplayed',
    'isEnabled',
    'isSelected',
  ]);
  return new Proxy(element, {
    get: (_, name) => {
      const value = Reflect.get(element, name, element);
      if (typeof value !== 'function') return value;
      return steadied.has(name) ? (...given: unknown[]) => again(value, given) : value.bind(element);
    },
  });
}
