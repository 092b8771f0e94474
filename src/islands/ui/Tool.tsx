import type { ReactNode } from 'react';

interface ToolProps {
  readonly label: string;
  readonly onPress: (() => void) | undefined;
  readonly children: ReactNode;
}

/** A small button with a picture for its name. Without `onPress` it rests. */
export function Tool({ label, onPress, children }: ToolProps) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      disabled={!onPress}
      onClick={onPress}
      className="flex size-9 cursor-pointer items-center justify-center hover:text-set disabled:cursor-default disabled:text-line"
    >
      {children}
    </button>
  );
}
