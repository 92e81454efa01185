'use client';
import { checkRecord } from '@/core/measure/recordChecks';
import { measured } from '@/core/measure/readings';
import { QUANTITIES, SIDES, type Quantity, type QuantityKey } from '@/core/measure/quantities';
import { useJob } from '@/store/jobStore';
import { CardHead, Caution } from '@/ui/Card';
import { Frac } from '@/ui/Frac';
import { StationStripe } from '@/ui/StationStripe';
import { Verdicts } from '@/ui/Verdicts';
import { ReadingCell } from './ReadingCell';
import './record.css';

/** The car as it stands, before anything is taken apart. Measure twice: the readings are kept and averaged. */
export function RecordCard() {
  const job = useJob();
  const verdicts = checkRecord(job.readings, job.tape);
  const missing = QUANTITIES.filter((q) =>
    (q.sided ? SIDES : [undefined]).some((s) => measured(job.readings, q.key, s).count === 0),
  );
  return (
    <>
      <CardHead title="Record the car as it stands">
        On its own weight, rolled and settled. Type a reading, press Enter, read again: repeats are averaged.
      </CardHead>
      <Verdicts verdicts={verdicts} />
      <table className="readings">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">left</th>
            <th scope="col">right</th>
          </tr>
        </thead>
        <tbody>
          {QUANTITIES.map((q) => (
            <Row key={q.key} quantity={q} quantityKey={q.key} />
          ))}
        </tbody>
      </table>
      {missing.length > 0 && (
        <p className="hint">
          Not measured yet, drawn from a stand-in: {missing.map((q) => q.label.toLowerCase()).join(', ')}.
        </p>
      )}
      <Caution>
        Measure from the ground up with the car on its wheels. Nobody goes under while it is on a jack alone.
      </Caution>
      <StationStripe
        station="record"
        title="Readings checked"
        note="Draw it when left, right and repeats agree, or you know why not."
        disabled={missing.length > 0}
      />
    </>
  );
}

function Row({ quantity, quantityKey }: { quantity: Quantity; quantityKey: QuantityKey }) {
  const { readings, tape } = useJob();
  const both = SIDES.map((side) => measured(readings, quantityKey, side));
  return (
    <tr>
      <th scope="row">
        {quantity.label}
        <span className="hint">{quantity.how}</span>
        {quantity.sided && both.every((m) => m.count > 0) && Math.abs(both[0]!.mm - both[1]!.mm) > 0.05 && (
          <span className="hint differ">
            differ by <Frac mm={Math.abs(both[0]!.mm - both[1]!.mm)} tape={tape} unit />
          </span>
        )}
      </th>
      {quantity.sided ? (
        SIDES.map((side) => (
          <td key={side}>
            <ReadingCell quantity={quantity} quantityKey={quantityKey} side={side} />
          </td>
        ))
      ) : (
        <td colSpan={2}>
          <ReadingCell quantity={quantity} quantityKey={quantityKey} />
        </td>
      )}
    </tr>
  );
}
