import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from './Button.tsx';

interface DeleteAskedProps {
  /** What goes, and what stays. */
  readonly warning: string;
  readonly remove: () => Promise<unknown>;
  readonly onGone: () => void;
}

/** Asked twice before something is deleted. */
export function DeleteAsked({ warning, remove, onGone }: DeleteAskedProps) {
  const [asked, setAsked] = useState(false);
  const mutation = useMutation({ mutationFn: remove, onSuccess: onGone });
  if (!asked) {
    return (
      <Button look="text" onClick={() => setAsked(true)}>
        Delete
      </Button>
    );
  }
  return (
    <span className="flex flex-wrap items-center gap-x-4">
      <span>{warning}</span>
      <Button look="other" disabled={mutation.isPending} onClick={() => mutation.mutate()}>
        Delete it
      </Button>
      <Button look="text" onClick={() => setAsked(false)}>
        Keep it
      </Button>
      {mutation.isError && <span className="text-outside">Not deleted. {mutation.error.message}</span>}
    </span>
  );
}
