import type { ReactNode } from 'react';

/** The frame of a page that is reached by a link, before anybody is signed in. */
export function Door({ children }: { children: ReactNode }) {
  return (
    <main className="signin">
      <div className="stack">{children}</div>
    </main>
  );
}
