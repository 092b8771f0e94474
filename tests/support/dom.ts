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
/** Nothing is laid out here, so nothing changes its size. */
class StillObserver {
  observe() {}
  disconnect() {}
}

Object.assign(globalThis, { ResizeObserver: StillObserver, IS_REACT_ACT_ENVIRONMENT: true });
