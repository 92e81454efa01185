'use client';
import { sayEffects } from '@/core/advice/words';
import { changesBetween, expectedBetween } from '@/core/drive/setUps';
import type { Outing } from '@/core/job/slices/work/drive';
import { useJob } from '@/store/jobStore';
import { feltAs, sayFeel } from '../words';

/** Side by side: what was changed since the drive before, what the model expected of it, and what was felt. */
export function SinceBefore({ outing, before }: { outing: Outing; before: Outing | undefined }) {
  const { drive, tape } = useJob();
  if (!before) return <p className="hint">The first drive: there is nothing before it to compare with.</p>;
  const [was, is] = [drive.setUps[before.setUp], drive.setUps[outing.setUp]];
  if (!was || !is) return null;
  const changes = changesBetween(was, is, tape);
  // A bar moved at both of its ends is one thing.
  const things = new Set(changes.map((change) => change.split(',')[0])).size;
  const expected = expectedBetween(was, is);
  const felt = sayFeel(outing);
  return (
    <dl className="since" data-part="since">
      <dt>Changed</dt>
      <dd data-since="changed">{changes.length ? changes.join('; ') : 'nothing of the set-up'}</dd>
      <dt>Expected</dt>
      <dd data-since="expected">
        {expected === null
          ? 'the car’s numbers were not known'
          : expected.length
            ? [feltAs(expected), sayEffects(expected, tape)].filter(Boolean).join(': ')
            : 'no change that counts'}
      </dd>
      <dt>Felt before</dt>
      <dd>{sayFeel(before) || 'not written'}</dd>
      <dt>Felt now</dt>
      <dd data-since="felt">{felt || 'not written yet'}</dd>
      {things > 1 && (
        <p className="changed">
          {things} things were changed at once: which of them was felt cannot be told.
        </p>
      )}
    </dl>
  );
}
