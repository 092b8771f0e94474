import { JSDOM } from 'jsdom';

/** A page without a browser, for what needs one to hang from. Imported before anything of React's. */
const { window } = new JSDOM('<!doctype html><html><body></body></html>', { url: 'http://localhost/' });

for (const key of [
  'window',
  'document',
  'navigator',
  'HTMLElement',
  'Element',
  'Node',
  'MutationObserver',
  'KeyboardEvent',
  'sessionStorage',
  'localStorage',
  'location',
  'history',
] as const) {
  Object.defineProperty(globalThis, key, { value: key === 'window' ? window : window[key], configurable: true, writable: true });
}
Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });
