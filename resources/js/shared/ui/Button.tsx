import type { ComponentPropsWithRef } from 'react';

export interface Look {
  /** Outlined where it is one of several, contained for what comes next, text where it is seldom wanted. @default outlined */
  variant?: 'outlined' | 'contained' | 'text' | undefined;
}

export const lookOf = (variant: Look['variant'], className?: string): string => ['button', variant ?? 'outlined', className].filter(Boolean).join(' ');

/** A press that does something here. */
export function Button({ variant, className, type = 'button', ...rest }: ComponentPropsWithRef<'button'> & Look) {
  return <button type={type} className={lookOf(variant, className)} {...rest} />;
}

interface AnchorButtonProps extends ComponentPropsWithRef<'a'>, Look {
  /** Read out as a link that leads nowhere for now. @default false */
  disabled?: boolean | undefined;
}

/** A press that brings a file, or a page with an entry of its own. */
export function AnchorButton({ variant, className, disabled = false, href, ...rest }: AnchorButtonProps) {
  return <a className={lookOf(variant, className)} {...(disabled ? { role: 'link', 'aria-disabled': true } : { href })} {...rest} />;
}
