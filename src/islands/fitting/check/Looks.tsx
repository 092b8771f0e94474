import { type FindingCode, findings, type LookCode, looks } from '../../../core/fitbook/findings.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { Button } from '../../ui/Button.tsx';

const lookCodes = Object.keys(looks) as LookCode[];

/** One look after the other, from the tail up: in order, or what was found. */
export function Looks() {
  const { store, values } = useAsked();
  const { fine, findings: found } = values.check;
  const put = (changes: Partial<typeof values.check>) => store.set('check', { ...values.check, ...changes });
  const isOpen = (code: LookCode) => !fine.includes(code) && !looks[code].findings.some((each) => found.includes(each));
  const inOrder = (code: LookCode) => {
    const of: readonly FindingCode[] = looks[code].findings;
    put({
      fine: fine.includes(code) ? fine.filter((each) => each !== code) : [...fine, code],
      findings: found.filter((each) => !of.includes(each)),
    });
  };
  const find = (code: LookCode, each: FindingCode) =>
    put({
      fine: fine.filter((other) => other !== code),
      findings: found.includes(each) ? found.filter((other) => other !== each) : [...found, each],
    });
  const open = lookCodes.filter(isOpen);
  const mark = (pressed: boolean, wrong: boolean) =>
    `min-h-9 border px-1.5 py-0.5 text-left leading-tight ${
      pressed
        ? wrong
          ? 'border-outside bg-outside-wash text-outside'
          : 'border-follows bg-follows-wash text-follows'
        : 'border-line text-set'
    }`;
  return (
    <section aria-label="Looks">
      {lookCodes.map((code) => (
        // biome-ignore lint/a11y/useSemanticElements: a fieldset’s legend can’t stand in the row with its buttons.
        <div
          key={code}
          role="group"
          aria-label={looks[code].label}
          className="grid grid-cols-[6.5rem_minmax(0,1fr)] items-center gap-x-2 border-b border-faint py-0.5"
        >
          <span className="leading-tight font-medium">{looks[code].label}</span>
          <div className="flex flex-wrap gap-1">
            <button
              type="button"
              aria-pressed={fine.includes(code)}
              className={mark(fine.includes(code), false)}
              onClick={() => inOrder(code)}
            >
              {looks[code].fine}
            </button>
            {looks[code].findings.map((each) => (
              <button
                key={each}
                type="button"
                aria-pressed={found.includes(each)}
                className={mark(found.includes(each), true)}
                onClick={() => find(code, each)}
              >
                {findings[each].short}
              </button>
            ))}
          </div>
        </div>
      ))}
      <p className="flex items-center gap-3 pt-1">
        <Button look="other" disabled={open.length === 0} onClick={() => put({ fine: [...fine, ...open] })}>
          {open.length === lookCodes.length ? 'All in order' : 'The rest is in order'}
        </Button>
        <span className="text-note text-soft">
          {open.length === 0 ? 'Every look was taken.' : `${open.length} of ${lookCodes.length} looks not taken yet.`}
        </span>
      </p>
    </section>
  );
}
