import type { ReactNode } from 'react';
import './card.css';
import { namesOfGuesses, type Figure } from '@/core/bench/figures';
import type { Gap } from '@/core/locate/types';
import { useJobPart } from '@/store/jobStore';
import { Term } from '@/ui/help/Term';
import type { TermName } from '@/ui/help/terms';

/** How a figure is drawn: one that hangs on a guess is dashed underneath and names what is guessed. */
export function useGuessed(of: Figure | Gap): { className?: string; title?: string } {
  const guessed = useJobPart((job) => namesOfGuesses(job, of).join('; '));
  return guessed ? { className: 'guessed-figure', title: `Guessed: ${guessed}` } : {};
}

/** What a dashed figure is, under those that may be. */
export const WhatDashedMeans = () => (
  <p className="hint what-dashed-means">Dashed: hangs on what is guessed, not read or said.</p>
);

/** Named results, one a line. */
export function Readouts({ children }: { children: ReactNode }) {
  return (
    <>
      <dl className="readouts">{children}</dl>
      <WhatDashedMeans />
    </>
  );
}

type ReadoutProps = { name: string; children: ReactNode; of: Figure | Gap; term?: TermName };

export function Readout({ name, children, of, term }: ReadoutProps) {
  const guessed = useGuessed(of);
  return (
    <div>
      <dt>{term ? <Term of={term}>{name}</Term> : name}</dt>
      <dd data-readout={typeof of === 'string' ? of : 'clearance'} {...guessed}>
        {children}
      </dd>
    </div>
  );
}
