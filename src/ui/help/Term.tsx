'use client';
import { Popover } from 'antd';
import { memo } from 'react';
import { TERMS, type TermName } from './terms';
import './term.css';

/** A word of the trade: hover, focus or touch explains it in two lines and a small drawing. Kept as it is while the figure beside it changes. */
export const Term = memo(function Term({ of, children }: { of: TermName; children: string }) {
  const { lines, drawing } = TERMS[of];
  return (
    <Popover
      trigger={['hover', 'focus', 'click']}
      mouseEnterDelay={0.25}
      content={
        <div className="term-card">
          <svg viewBox="0 0 140 80" width="140" height="80" aria-hidden>
            {drawing}
          </svg>
          <p>
            {lines[0]}
            <br />
            {lines[1]}
          </p>
        </div>
      }
    >
      <button type="button" className="term">
        {children}
      </button>
    </Popover>
  );
});
