'use client';
import { Popover } from 'antd';
import { lazy, memo, Suspense } from 'react';
import type { TermName } from './terms';
import './term.css';

const TermCard = lazy(async () => ({ default: (await import('./TermCard')).TermCard }));

/** As large as what comes into it, so that it opens where it stays. */
const coming = <div className="term-card" style={{ width: 400, height: 80 }} />;

/** A word of the trade: hover, focus or touch explains it. Kept as it is while the figure beside it changes. */
export const Term = memo(function Term({ of, children }: { of: TermName; children: string }) {
  return (
    <Popover
      trigger={['hover', 'focus', 'click']}
      mouseEnterDelay={0.25}
      content={
        <Suspense fallback={coming}>
          <TermCard of={of} />
        </Suspense>
      }
    >
      <button type="button" className="term">
        {children}
      </button>
    </Popover>
  );
});
