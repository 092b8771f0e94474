import assert from 'node:assert/strict';
import type { ImportReport } from '../../src/contract/exchange/report.ts';
import { recordsOut } from '../../src/contract/offline.ts';

/** A page with its records: on a busy machine it may come without, saying so, and is asked for again as its islands would ask. */
export async function wholePage(address: string): Promise<Response> {
  for (let tries = 0; ; tries++) {
    const answer = await fetch(address);
    if (!answer.headers.has(recordsOut) || tries === 20) return answer;
    await answer.arrayBuffer();
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
}

/** Asks an application as its pages do. `app` is looked up at each request: tests start theirs before they run. */
export function requestsTo(app: () => { readonly address: string }) {
  const send = (path: string, method: string, body: unknown, headers: Readonly<Record<string, string>> = {}): Promise<Response> =>
    fetch(app().address + path, { method, headers: { 'content-type': 'application/json', ...headers }, body: JSON.stringify(body) });
  const sendFile = (file: string, content: string | Uint8Array<ArrayBuffer>, query = ''): Promise<Response> =>
    fetch(`${app().address}/api/import/${file}?${query}`, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: content,
    });
  return {
    get: async <T>(path: string): Promise<T> => (await fetch(app().address + path)).json(),
    send,
    /** A file sent to be looked at, or with `apply=true` to be imported. */
    sendFile,
    /** What importing a file does, or with `apply` off would do. */
    bring: async (file: string, text: string, apply = true): Promise<ImportReport> => {
      const answer = await sendFile(file, text, `apply=${apply}`);
      assert.equal(answer.status, 200, await answer.clone().text());
      return answer.json();
    },
    exported: async (file: string): Promise<string> => (await fetch(`${app().address}/api/export/${file}`)).text(),
  };
}
