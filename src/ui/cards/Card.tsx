import dayjs from 'dayjs';
import type { ReactNode } from 'react';
import { useJobPart } from '@/store/jobStore';
import './card.css';
import { Term } from '@/ui/help/Term';
import type { TermName } from '@/ui/help/terms';

/** The top of a bench card: its question and, in one line, what is wanted. */
export function CardHead({ title, children }: { title: string; children: ReactNode }) {
  return (
    <header className="card-head">
      <h1>{title}</h1>
      <PaperLine />
      <p>{children}</p>
    </header>
  );
}

/** On paper only: whose it is, and of which day. */
export function PaperLine() {
  const { name, car } = useJobPart((j) => ({ name: j.name, car: j.car }));
  return (
    <p className="print-only">
      {name} {car && `· ${car}`} · printed {dayjs().format('D MMMM YYYY')}
    </p>
  );
}

/** The usual caution at a step that can hurt, in a sentence or two. */
export function Caution({ children }: { children: ReactNode }) {
  return (
    <p className="caution">
      <span aria-hidden>!</span>
      <span>{children}</span>
    </p>
  );
}

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
