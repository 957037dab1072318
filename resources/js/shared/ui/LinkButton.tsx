import type { ComponentPropsWithRef } from 'react';
import { Link } from 'react-router';
import { AnchorButton, lookOf, type Look } from './Button';

interface LinkButtonProps extends ComponentPropsWithRef<typeof Link>, Look {
  /** Read out as a link that leads nowhere for now. @default false */
  disabled?: boolean | undefined;
}

/** A press that goes to another view. */
export function LinkButton({ variant, className, disabled = false, to, children, ...rest }: LinkButtonProps) {
  if (disabled)
    return (
      <AnchorButton variant={variant} className={className} disabled>
        {children}
      </AnchorButton>
    );
  return (
    <Link to={to} className={lookOf(variant, className)} {...rest}>
      {children}
    </Link>
  );
}
