'use client';
import { DRAG_LINK, type RodTurn } from '@/core/ride/steering';
import { capital, memberName } from '@/core/rig/names';
import { sayLength } from '@/core/units/length';
import { sayTurns } from '@/core/units/turns';
import { useJobPart } from '@/store/jobStore';

/** What a rod of the steering is to be turned, and what it comes to. */
export function RodAdvice({ rod, children }: { rod: RodTurn; children: React.ReactNode }) {
  const tape = useJobPart((j) => j.tape);
  const way = rod.mm > 0 ? 'longer' : 'shorter';
  const name = capital(memberName(rod.id, 'front'));
  const step = rod.turns === null ? sayLength(Math.abs(rod.mm), tape) : sayTurns(Math.abs(rod.turns));
  return (
    <section className="ride-step" data-task={rod.id}>
      <h2 data-readout={`turns-${rod.id}`}>
        {rod.turns === 0 ? `${name}: leave it` : `${name}: ${step} ${way}`}
      </h2>
      <p className="hint">
        {children} {rod.adjuster === null && 'Say below how it is adjusted, and this becomes turns. '}
        Both clamps or jam nuts loose first; {rod.id === DRAG_LINK ? 'its' : 'the'} ends lie flat when they
        are tight again.
      </p>
    </section>
  );
}
