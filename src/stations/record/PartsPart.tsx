'use client';
import { asRead } from '@/core/verdict/verdict';
import { Button, Segmented } from 'antd';
import { Input } from '@/ui/fields/textInput';
import { madeUp } from '@/core/job/made/parts';
import { memberName } from '@/core/rig/names';
import { isCheckedIn, partsChecks, usualParts } from '@/core/record/partsList';
import { sayLength } from '@/core/units/length';
import { edit, useJob, useJobPart } from '@/store/jobStore';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { Full } from '@/ui/cards/Full';
import { Verdicts } from '@/ui/cards/Verdicts';
import { linksOf } from '@/core/rig/members/members';
import type { Job } from '@/core/job/jobSchema';
import { HANDS, MOST_PARTS, type Hand, type KitPart } from '@/core/job/slices/record';

const change = (parts: (list: KitPart[]) => KitPart[]) =>
  edit((job) => ({ ...job, record: { ...job.record, parts: parts(job.record.parts) } }));

const usualFor = (job: Job): KitPart[] =>
  usualParts(
    linksOf(job.rig).map((bar) => ({
      id: bar.id,
      name: memberName(bar.id, job.rig.end),
      tube: madeUp(job, bar).tubeLength,
    })),
  );

/** The kit or the material laid out on the floor: counted, hands of threads tried, lengths measured. */
export function PartsPart() {
  const job = useJob();
  const { parts } = job.record;
  const open = parts.filter((p) => !isCheckedIn(p)).length;
  return (
    <>
      <p className="hint">
        Lay it all out. Left-hand threads usually carry a groove, or a jam nut of another colour: try one on.
      </p>
      {parts.length > 0 && (
        <p className="agree-sum">{open === 0 ? 'Everything is checked in.' : `${open} left to check in.`}</p>
      )}
      <Verdicts verdicts={partsChecks(parts, job.tape).map(asRead)} />
      <ul className="parts">
        {parts.map((part) => (
          <Line key={part.id} part={part} />
        ))}
      </ul>
      <div className="tools">
        {parts.length === 0 && (
          <Button type="primary" onClick={() => change(() => usualFor(job))}>
            List what these bars need
          </Button>
        )}
        <Button
          disabled={parts.length >= MOST_PARTS}
          onClick={() =>
            change((list) => [...list, { id: `own-${list.length}-${Date.now()}`, name: 'Part', wanted: 1 }])
          }
        >
          Add a line
        </Button>
        {parts.length >= MOST_PARTS && <Full most={MOST_PARTS} of="lines in this list" />}
      </div>
    </>
  );
}

function Line({ part }: { part: KitPart }) {
  const set = (to: Partial<KitPart>) =>
    change((list) => list.map((p) => (p.id === part.id ? { ...p, ...to } : p)));
  const tape = useJobPart((j) => j.tape);
  const field = `part/${part.id}`;
  return (
    <li data-part={part.id} className={isCheckedIn(part) ? 'in' : ''}>
      <div className="part-name">
        <Input
          aria-label="Name of the part"
          maxLength={120}
          variant="borderless"
          value={part.name}
          onChange={(e) => set({ name: e.target.value })}
        />
        <Button
          type="text"
          aria-label={`Take ${part.name} off the list`}
          onClick={() => change((list) => list.filter((p) => p.id !== part.id))}
        >
          ×
        </Button>
      </div>
      <div className="part-fields">
        <NumberField
          field={`${field}/wanted`}
          label="Wanted"
          showLabel
          value={part.wanted}
          least={0}
          most={999}
          unit=""
          decimals={0}
          whole
          onEnter={(wanted) => set({ wanted })}
        />
        <NumberField
          field={`${field}/got`}
          label="Here"
          showLabel
          value={part.got ?? null}
          least={0}
          most={999}
          unit=""
          decimals={0}
          whole
          placeholder="count"
          onEnter={(got) => set({ got })}
          onClear={() => set({ got: undefined })}
        />
        {part.hand && (
          <HandChoice wanted={part.hand} seen={part.handSeen} onPick={(handSeen) => set({ handSeen })} />
        )}
        {part.length !== undefined && (
          <LengthField
            field={`${field}/length`}
            label={`Length here, ${sayLength(part.length, tape)} wanted`}
            showLabel
            mm={part.lengthSeen ?? null}
            least={0}
            most={6000}
            placeholder="measure"
            onEnter={(lengthSeen) => set({ lengthSeen })}
            onClear={() => set({ lengthSeen: undefined })}
          />
        )}
      </div>
    </li>
  );
}

function HandChoice({ wanted, seen, onPick }: { wanted: Hand; seen?: Hand; onPick: (h: Hand) => void }) {
  return (
    <div>
      <span className="length-label">Thread: {wanted}-hand wanted, is</span>
      <Segmented<Hand | null>
        block
        className="finding-choice"
        aria-label="Hand of the thread"
        options={[...HANDS]}
        value={seen ?? null}
        onChange={(hand) => hand && onPick(hand)}
      />
    </div>
  );
}
