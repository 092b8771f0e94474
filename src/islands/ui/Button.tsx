import type { ComponentProps } from 'react';

const looks = {
  /** The one thing to do next. */
  main: 'bg-set text-white hover:bg-ink disabled:bg-line disabled:text-soft font-medium px-4',
  /** One of several ways on. */
  other: 'border-2 border-set text-set hover:bg-set hover:text-white disabled:border-line disabled:text-soft px-3',
  /** Neither set nor followed from: a tool of the page. */
  plain: 'border-2 border-ink hover:bg-ink hover:text-white disabled:border-line disabled:text-soft px-3',
  /** Within a line of text. */
  text: 'text-set underline decoration-1 underline-offset-4 disabled:text-soft',
} as const;

type Look = keyof typeof looks;

const shape = 'inline-flex cursor-pointer items-center gap-2 disabled:cursor-default';
const height = (look: Look) => (look === 'text' ? 'min-h-9' : 'min-h-11 justify-center whitespace-nowrap');

type ButtonProps = ComponentProps<'button'> & { readonly look?: Look };

export function Button({ look = 'main', className = '', type = 'button', ...rest }: ButtonProps) {
  return <button type={type} className={`${shape} ${height(look)} ${looks[look]} ${className}`} {...rest} />;
}

type LinkProps = ComponentProps<'a'> & { readonly look?: Look };

/** A way to another page, in the shape of a button or within a line of text. */
export function Link({ look = 'text', className = '', children, ...rest }: LinkProps) {
  return (
    <a className={`${shape} ${height(look)} ${looks[look]} ${className}`} {...rest}>
      {children}
    </a>
  );
}
