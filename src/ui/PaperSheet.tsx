import dayjs from 'dayjs';
import type { ReactNode } from 'react';
import type { Job } from '@/core/job/schema';
import './sheet.css';

/** How many, what, and of which size. */
export type SheetPart = [quantity: string, part: string, size: ReactNode];

type Props = {
  job: Job;
  label: string;
  title: string;
  drawing: ReactNode;
  parts: SheetPart[];
  caution: string;
  children: ReactNode;
};

/** Something to make, on a sheet of plain paper: whose it is, its drawing, its parts to tick off, and how. */
export function PaperSheet({ job, label, title, drawing, parts, caution, children }: Props) {
  return (
    <section className="paper-sheet print-only" aria-label={label}>
      <h1>{title}</h1>
      <p>
        {job.name} {job.car && `· ${job.car}`} · printed {dayjs().format('D MMMM YYYY')}
      </p>
      {drawing}
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
      {children}
      <p className="paper-caution">{caution}</p>
    </section>
  );
}
