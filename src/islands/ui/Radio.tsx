import { memo } from 'react';

interface RadioProps {
  readonly name: string;
  readonly value: string;
  readonly checked: boolean;
  readonly label?: string;
  /** Hears the value; the same function each time, or the button is drawn for nothing. */
  readonly onPick: (value: string) => void;
  /** Also where it is chosen already and pressed again. */
  readonly again?: boolean;
}

/**
 * One of several, seen by what stands beside it. React writes name and type of a button that is drawn again whether they
 * changed or not, and its styles are worked out anew: beside figures that follow a handle it must stay.
 */
export const Radio = memo(function Radio({ name, value, checked, label, onPick, again = false }: RadioProps) {
  const pick = () => onPick(value);
  return (
    <input
      type="radio"
      name={name}
      className="sr-only"
      value={value}
      checked={checked}
      aria-label={label}
      onChange={pick}
      {...(again && { onClick: pick })}
    />
  );
});
