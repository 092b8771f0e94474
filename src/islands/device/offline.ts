import { keptPageAttribute } from '../../contract/offline.ts';

/** The first seconds of a page belong to whoever opened it. */
const restMs = 8000;

/** Makes this device keep what the pages are made of, so that they stand without the server. Where a browser can’t, they need it. */
export function keepForOffline(): () => void {
  if (!('serviceWorker' in navigator)) return () => undefined;
  const isFirst = navigator.serviceWorker.controller === null;
  const register = async () => {
    await navigator.serviceWorker.register('/offline.js');
    const { active } = await navigator.serviceWorker.ready;
    if (isFirst) active?.postMessage(location.href);
  };
  const timer = setTimeout(() => void register().catch(() => undefined), restMs);
  return () => clearTimeout(timer);
}

/** Since when this page is kept, where the device shows it as it was then, ms since 1970. */
export function keptSince(): number | undefined {
  const since = Date.parse(document.documentElement.getAttribute(keptPageAttribute) ?? '');
  return Number.isNaN(since) ? undefined : since;
}
