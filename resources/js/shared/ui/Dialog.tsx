import { lazy, Suspense, type ReactNode } from 'react';

export interface DialogProps {
  /** @default true */
  open?: boolean;
  /** The id of its heading. */
  labelledBy: string;
  /** For lists to choose from. @default false */
  wide?: boolean;
  /** On Escape and a press beside it; without, it stays until it is answered. */
  onClose?: (() => void) | undefined;
  children: ReactNode;
}

const OverView = lazy(() => import('./OverView').then((module) => ({ default: module.OverView })));

/** Lies over the view until it is done with. The library that draws it is fetched when the first one opens. */
export function Dialog(props: DialogProps) {
  if (props.open === false) return null;
  return (
    <Suspense fallback={null}>
      <OverView {...props} />
    </Suspense>
  );
}
