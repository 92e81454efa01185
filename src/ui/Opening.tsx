import { Suspense, type ReactNode } from 'react';

/** What is fetched when it is first shown: said until it is there. */
export function Opening({ children }: { children: ReactNode }) {
  return (
    <Suspense
      fallback={
        <p className="hint" data-loading>
          Opening…
        </p>
      }
    >
      {children}
    </Suspense>
  );
}
