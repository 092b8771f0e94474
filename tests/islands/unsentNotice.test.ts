import '../support/dom.ts';
import assert from 'node:assert/strict';
import { afterEach, beforeEach, mock, test } from 'node:test';
import { cleanup, fireEvent, render, waitFor, within } from '@testing-library/react';
import { createElement } from 'react';
import { Unsent } from '../../src/islands/records/Unsent.tsx';
import { allUnsent, dropUnsent, holdUnsent } from '../../src/islands/wire/unsent.ts';

const entry = (key: string) =>
  ({ key, path: `/api/ties/${key}`, method: 'POST', body: { id: key }, what: `tie “${key}”`, page: '/ties/new' }) as const;
const answers = (status: number, body: object) =>
  mock.method(globalThis, 'fetch', async () => new Response(JSON.stringify(body), { status }));
const screen = () => within(document.body);

beforeEach(() => {
  for (const { key } of allUnsent()) dropUnsent(key);
  mock.restoreAll();
});
afterEach(cleanup);

test('nothing is told where nothing waits', () => {
  render(createElement(Unsent));
  assert.equal(document.body.textContent, '');
});

test('what was sent now is told until it is closed', async () => {
  answers(201, { kept: true });
  holdUnsent(entry('Dotted'));
  render(createElement(Unsent));
  await waitFor(() => assert.match(document.body.textContent ?? '', /Saved now: Tie “Dotted”/));
  fireEvent.click(screen().getByText('Close'));
  assert.equal(document.body.textContent, '');
});

test('what the server would not take stays told; shut, it is a button, until there is something new', async () => {
  answers(400, { error: { code: 'invalid', message: 'No such cloth.', fields: [] } });
  holdUnsent(entry('Dotted'));
  render(createElement(Unsent));
  await waitFor(() => assert.match(screen().getByRole('alert').textContent ?? '', /Not saved: Tie “Dotted”.*No such cloth\./));
  fireEvent.click(screen().getByText('Close'));
  assert.equal(screen().queryByRole('alert'), null);
  fireEvent.click(screen().getByText('1 not sent yet'));
  screen().getByRole('alert');
  fireEvent.click(screen().getByText('Close'));
  holdUnsent(entry('Striped'));
  await waitFor(() => assert.equal(screen().getAllByRole('alert').length, 2));
  fireEvent.click(screen().getAllByText('Discard it')[0] as HTMLElement);
  assert.deepEqual(
    allUnsent().map(({ key }) => key),
    ['Striped'],
  );
});

test('what waits while the server is away is told, and shut at one press though something was saved before', async () => {
  const fetched = answers(201, { kept: true });
  holdUnsent(entry('Dotted'));
  render(createElement(Unsent));
  await waitFor(() => assert.match(document.body.textContent ?? '', /Saved now/));
  fetched.mock.mockImplementation(async () => {
    throw new TypeError('fetch failed');
  });
  holdUnsent(entry('Striped'));
  await waitFor(() => assert.match(document.body.textContent ?? '', /Not sent yet.*Tie “Striped”.*Saved now/));
  fireEvent.click(screen().getByText('Close'));
  assert.match(document.body.textContent ?? '', /^1 not sent yet$/);
});
