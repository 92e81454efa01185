import { sayDay } from '@/ui/paper/dates';
import type { ReactNode } from 'react';
import { useJobPart } from '@/store/jobStore';
import './card.css';

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
      {name} {car && `· ${car}`} · printed {sayDay(new Date())}
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
