'use client';
import { Button } from 'antd';
import { useState } from 'react';
import { withOuting } from '@/core/drive/setUps';
import { MOST_OUTINGS } from '@/core/job/slices/work/drive';
import { edit, useJob } from '@/store/jobStore';
import { say } from '@/store/notices';
import { CardHead } from '@/ui/cards/Card';
import { Full } from '@/ui/cards/Full';
import { sayMoment } from '@/ui/paper/dates';
import { askSetUp } from '@/workers/choosing/search';
import { OutingFields } from './OutingFields';
import { OutingSheet } from './OutingSheet';
import { SinceBefore } from './SinceBefore';
import { sayFeel } from '../words';

/** So many drives are listed at once, the last of them. */
const AT_ONCE = 50;

/** Every drive, the last first: how the car was set up, what had been changed, what the model expected, what was felt. */
export function OutingsPart() {
  const job = useJob();
  const { outings } = job.drive;
  const [open, setOpen] = useState<string | null>(outings.at(-1)?.id ?? null);
  const [asking, setAsking] = useState(false);
  const [shown, setShown] = useState(AT_ONCE);
  const full = outings.length >= MOST_OUTINGS;

  async function log() {
    setAsking(true);
    const outcome = await askSetUp(job);
    setAsking(false);
    if (!outcome.ok) {
      say({ kind: 'error', title: `The outing was not taken: ${outcome.message}.` });
      return;
    }
    const at = new Date().toISOString();
    const id = `o${Date.now().toString(36)}`;
    const before = outings.at(-1);
    // What seldom changes from one drive to the next is carried on.
    const { place = '', tyres, fuel, load, pressures } = before ?? {};
    edit((j) =>
      withOuting(
        j,
        { id, at, place, tyres, fuel, load, pressures, times: [], feel: {}, noises: [], note: '' },
        outcome.result,
      ),
    );
    setOpen(id);
  }

  return (
    <>
      <div className="no-print">
        <CardHead title="What it did on the road">
          {outings.length === 0
            ? 'Nothing logged yet. The set-up is taken as the car stands here.'
            : `${outings.length} ${outings.length === 1 ? 'outing' : 'outings'}, the last first. One thing changed at a time.`}
        </CardHead>
        {full ? (
          <Full most={MOST_OUTINGS} of="outings" />
        ) : (
          <Button type="primary" block className="log-outing" loading={asking} onClick={() => void log()}>
            Log an outing
          </Button>
        )}
        <ul className="outings">
          {outings
            .slice(-shown)
            .toReversed()
            .map((outing, i) => {
              const before = outings[outings.length - 2 - i];
              const isOpen = open === outing.id;
              return (
                <li key={outing.id} data-outing={outing.id}>
                  <button
                    type="button"
                    className="outing-row"
                    aria-expanded={isOpen}
                    onClick={() => setOpen(isOpen ? null : outing.id)}
                  >
                    <b>{outing.place || 'No place given'}</b>{' '}
                    <span className="hint">{sayMoment(outing.at)}</span>
                    <span className="hint outing-felt">
                      {sayFeel(outing) || 'nothing written of how it felt'}
                    </span>
                  </button>
                  {isOpen && (
                    <>
                      <SinceBefore outing={outing} before={before} />
                      <OutingFields outing={outing} onGone={() => setOpen(null)} />
                    </>
                  )}
                </li>
              );
            })}
        </ul>
        {outings.length > shown && (
          <Button block onClick={() => setShown(shown + AT_ONCE)}>
            Show {Math.min(AT_ONCE, outings.length - shown)} more of {outings.length - shown} earlier
          </Button>
        )}
        {outings.length > 0 && (
          <div className="tools">
            <Button onClick={() => window.print()}>Print the log</Button>
          </div>
        )}
      </div>
      <OutingSheet />
    </>
  );
}
