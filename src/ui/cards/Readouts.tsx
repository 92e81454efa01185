import type { ReactNode } from 'react';
import './card.css';
import { Term } from '@/ui/help/Term';
import type { TermName } from '@/ui/help/terms';

/** Named results, one a line. */
export function Readouts({ children }: { children: ReactNode }) {
  return <dl className="readouts">{children}</dl>;
}

type ReadoutProps = { name: string; children: ReactNode; id?: string; term?: TermName };

export function Readout({ name, children, id, term }: ReadoutProps) {
  return (
    <div>
      <dt>{term ? <Term of={term}>{name}</Term> : name}</dt>
      <dd data-readout={id}>{children}</dd>
    </div>
  );
}
