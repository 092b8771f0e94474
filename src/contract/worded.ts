import type Joi from 'joi';

/** What to say, by the check that failed; `*` stands for any other. A sentence that tells the value is a function of it. */
export type Words = Readonly<Record<string, string | ((value: unknown) => string)>>;

/**
 * A schema whose faults are told in these words; inside, what has words of its own keeps them. The library's `messages`
 * would do the same, and merge the words of every field at every check, which costs more than the checks.
 */
export function worded<S extends Joi.AnySchema>(schema: S, words: Words): S {
  const before = schema.$_getFlag('error') as Joi.ValidationErrorFunction | undefined;
  const say: Joi.ValidationErrorFunction = (reports) => {
    for (const report of reports) {
      const sentence = words[report.code] ?? words['*'];
      // A check that words its own refusal has code `custom`.
      if (sentence === undefined || report.code === 'custom' || report.message) continue;
      report.message = typeof sentence === 'string' ? sentence : sentence(report.local['value']);
    }
    return (before?.(reports) ?? reports) as Joi.ErrorReport[];
  };
  return schema.error(say) as S;
}
