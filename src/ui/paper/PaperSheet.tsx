import type { ReactNode } from 'react';
import { namesOfGuesses, type Figure } from '@/core/bench/figures';
import { useJobPart } from '@/store/jobStore';
import { PaperLine } from '@/ui/cards/Card';
import './sheet.css';

/** How many, what, and of which size. */
export type SheetPart = [quantity: string, part: string, size: ReactNode];

type Props = {
  label: string;
  title: string;
  /** what it looks like, and its parts to tick off, where there is something to make */
  drawing?: ReactNode;
  parts?: SheetPart[];
  caution: string;
  /** what its sizes hang on: what of that is guessed is said at the top */
  figure?: Figure;
  children: ReactNode;
};

/** Something to take to the car, on a sheet of plain paper: whose it is, its drawing, its parts to tick off, and how. */
export function PaperSheet({ label, title, drawing, parts, caution, figure, children }: Props) {
  return (
    <section className="paper-sheet print-only" aria-label={label}>
      <h1>{title}</h1>
      <PaperLine />
      {figure && <PaperGuesses figure={figure} />}
      {drawing}
      {parts && <PartsTable parts={parts} />}
      {children}
      <p className="paper-caution">{caution}</p>
    </section>
  );
}

/** So many things are named; the screen names them all. */
const NAMED = 4;

function PaperGuesses({ figure }: { figure: Figure }) {
  const names = useJobPart((job) => namesOfGuesses(job, figure));
  if (names.length === 0) return null;
  const more = names.length > NAMED ? `; and ${names.length - NAMED} more` : '';
  return (
    <p className="paper-guesses">
      Guessed, not read or said: {names.slice(0, NAMED).join('; ')}
      {more}.
    </p>
  );
}

function PartsTable({ parts }: { parts: SheetPart[] }) {
  return (
    <table>
      <thead>
        <tr>
          <th>Qty</th>
          <th>Part</th>
          <th>Size</th>
          <th>Done</th>
        </tr>
      </thead>
      <tbody>
        {parts.map(([quantity, part, size]) => (
          <tr key={part}>
            <td>{quantity}</td>
            <td>{part}</td>
            <td>{size}</td>
            <td className="box" />
          </tr>
        ))}
      </tbody>
    </table>
  );
}
