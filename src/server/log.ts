import pino from 'pino';

/**
 * Lines of JSON for whoever runs it. What the database says of an error can hold what somebody entered: the values it quotes
 * are left out, and so are its details.
 */
export const log = pino({ level: process.env['LOG_LEVEL'] ?? 'info', base: null, serializers: { err: withoutValues } });

export function withoutValues(error: unknown): object {
  if (!(error instanceof Error)) return { type: typeof error };
  const { name, message, stack = '' } = error;
  const code = 'code' in error ? String(error.code) : undefined;
  const clean = (text: string) => text.replace(/"[^"\n]*"|“[^”\n]*”/g, '“…”');
  return { type: name, ...(code === undefined ? {} : { code }), message: clean(message), stack: clean(stack) };
}
