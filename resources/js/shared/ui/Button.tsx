import type { ComponentPropsWithRef } from 'react';
import { Link } from 'react-router';

interface Look {
  /** Outlined where it is one of several, contained for what comes next, text where it is seldom wanted. @default outlined */
  variant?: 'outlined' | 'contained' | 'text' | undefined;
}

const classes = (...names: (string | undefined)[]): string => names.filter(Boolean).join(' ');

/** A press that does something here. */
export function Button({ variant = 'outlined', className, type = 'button', ...rest }: ComponentPropsWithRef<'button'> & Look) {
  return <button type={type} className={classes('button', variant, className)} {...rest} />;
}

interface LinkButtonProps extends ComponentPropsWithRef<typeof Link>, Look {
  /** Read out as a link that leads nowhere for now. @default false */
  disabled?: boolean | undefined;
}

/** A press that goes to another view. */
export function LinkButton({ variant = 'outlined', className, disabled = false, to, children, ...rest }: LinkButtonProps) {
  const look = classes('button', variant, className);
  if (disabled)
    return (
      <a role="link" aria-disabled="true" className={look}>
        {children}
      </a>
    );
  return (
    <Link to={to} className={look} {...rest}>
      {children}
    </Link>
  );
}

/** A press that brings a file. */
export function FileButton({ variant = 'outlined', className, ...rest }: ComponentPropsWithRef<'a'> & Look) {
  return <a className={classes('button', variant, className)} {...rest} />;
}
