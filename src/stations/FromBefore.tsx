import { useEffect } from 'react';
import { isStale, useHealth } from '@/workers/supervised';

/** Said over the card, and every figure drawn pale, while what is worked out is not of the job as it stands. */
export function FromBefore() {
  const stale = useHealth(isStale);
  const gone = useHealth((s) => s.gone);
  useEffect(() => {
    document.documentElement.toggleAttribute('data-stale', stale);
    return () => document.documentElement.removeAttribute('data-stale');
  }, [stale]);
  return (
    <p className="from-before" role="status">
      {gone
        ? 'Figures are from before: nothing can be worked out just now. It is tried again; if it stays like this, reload the page. Nothing typed is lost.'
        : stale && 'Figures are from before; they are being worked out anew.'}
    </p>
  );
}
