import { openIn } from '@/core/advice/standing';
import { changedSince } from '@/core/drive/setUps';
import { Document, type Attached } from '@/core/fabricate/paper/document';
import { bracketId } from '@/core/job/bodies/bodyNames';
import type { Job } from '@/core/job/jobSchema';
import { barOf, LINK_ENDS } from '@/core/job/made/parts';
import { candidatesOf } from '@/core/job/edits/candidates';
import { bracketOf } from '@/core/job/made/bracketParts';
import { sayBolt } from '@/core/materials/boltSize';
import { METALS } from '@/core/materials/metals';
import { describeBar } from '@/core/rig/lateralBar';
import { LAYOUT_NAMES, capital, memberName } from '@/core/rig/names';
import { linksOf } from '@/core/rig/members/members';
import { orNone } from '@/core/rig/read';
import { INSPECTION } from '@/core/record/inspection';
import { asSet } from '@/core/ride/asSet';
import { planNow } from '@/core/plan/standing';
import { tasksOf } from '@/core/plan/plan';
import { saySection } from '@/core/cut/lists';
import { SPOTS, spotName } from '@/core/survey/quantities/quantities';
import { found } from '@/core/survey/readings';
import { sayValue } from '@/core/units/values';
import { sayLength } from '@/core/units/length';
import { TORQUE } from '@/core/units/unit';
import { systemOf } from '@/core/units/tape';
import { measuredFor } from '@/core/weld/conditions/condition';
import { heldName } from '@/core/weld/held';
import { torqueSheet } from '@/core/weld/torqueSheet';
import { viewsOf } from './views';

/** A photograph of a job: what it is of, when it was taken, and its bytes. */
export type BookPhoto = { item: string; at: string; jpeg: Uint8Array };

/** How high the three views stand on their page, mm. */
const VIEWS_HIGH = 70;

/**
 * The build book of a job as a PDF: the car as found, as designed and as built, drawings, what was done in which order, welds with what was
 * passed over and why, torque, drives, photographs, the cautions that were given. The job itself is kept in it, so that the book can be
 * opened again.
 *
 * @param day on which it is made, in words
 */
export async function buildBook(
  job: Job,
  photos: BookPhoto[],
  attached: Attached,
  day: string,
): Promise<Uint8Array> {
  const doc = await Document.begin(
    `${job.name}: build book`,
    `${job.name}, build book of ${day}`,
    systemOf(job.tape) === 'mm' ? 'a4' : 'letter',
  );
  doc.title(job.name);
  doc.text(
    [job.car, LAYOUT_NAMES[job.layout][0], `${capital(job.rig.end)} axle`, day].filter(Boolean).join(' · '),
  );
  if (job.notes) doc.text(job.notes);
  doc.small(
    'Aids to judgement, not certification. The vehicle maker’s values, local rules, qualified welders and inspectors come first. The job file is kept in this document: open it in Pellik to go on.',
  );
  doc.views(viewsOf(job), VIEWS_HIGH);
  asFound(doc, job);
  chosenWay(doc, job);
  asDesigned(doc, job);
  asBuilt(doc, job);
  standing(doc, job);
  workDone(doc, job);
  weldsMade(doc, job);
  tightened(doc, job);
  driven(doc, job);
  cautionsGiven(doc, job);
  await pictures(doc, job, photos);
  await doc.attach(attached);
  return doc.end();
}

function asFound(doc: Document, { readings, record, tape }: Job): void {
  const rows = SPOTS.flatMap((spot) => {
    const read = found(readings, spot.quantity.key, spot.side);
    return read ? [[spotName(spot), sayValue(read.value, spot.quantity.unit, tape), String(read.count)]] : [];
  });
  doc.heading('As found');
  if (rows.length === 0) doc.text('Nothing was measured.');
  doc.table(['Measured', 'Mean', 'Times'], rows, [0.6, 0.25, 0.15]);
  const inspected = INSPECTION.flatMap(({ id, label }) => {
    const looked = record.inspection[id];
    return looked ? [[label, looked.finding, looked.note]] : [];
  });
  doc.table(['Inspected', 'Found', 'Note'], inspected, [0.4, 0.15, 0.45]);
}

/** Which way of building was chosen, out of which, and why. */
function chosenWay(doc: Document, job: Job): void {
  const { chosen } = job.choose ?? {};
  const all = candidatesOf(job);
  const name = all.find(({ id }) => id === chosen?.id)?.name;
  if (!chosen || !name) return;
  doc.heading('Chosen');
  doc.text(`${name}, out of: ${all.map((one) => one.name).join('; ')}.`);
  doc.text(chosen.reason);
}

function asDesigned(doc: Document, job: Job): void {
  const { rig, tape } = job;
  const say = (mm: number) => sayLength(mm, tape);
  doc.heading('As designed');
  doc.table(
    ['Bar', 'Made of', 'Eye to eye', 'Frame end: ahead, left, up', 'Axle end: ahead, left, up'],
    linksOf(rig).map((link) => [
      capital(memberName(link.id, rig.end)),
      `${saySection(barOf(job, link.id).section, tape)}, ${METALS[barOf(job, link.id).metal].name}`,
      say(describeBar(link).eyeToEye),
      link.chassis.map(say).join(', '),
      link.axle.map(say).join(', '),
    ]),
    [0.18, 0.22, 0.14, 0.23, 0.23],
  );
  doc.table(
    ['Bracket', 'Plate', 'Bolt', 'Fastened'],
    linksOf(rig).flatMap((link) =>
      LINK_ENDS.map((end) => {
        const { plate, planes, bolt, bolted } = bracketOf(job, link, end);
        return [
          capital(memberName(bracketId(link.id, end), rig.end)),
          `${planes} × ${say(plate)}`,
          sayBolt(bolt),
          bolted ? 'bolted' : 'welded',
        ];
      }),
    ),
    [0.45, 0.2, 0.2, 0.15],
  );
}

function asBuilt(doc: Document, job: Job): void {
  const { tape } = job;
  const say = (mm: number) => sayLength(mm, tape);
  doc.heading('As built');
  const set = asSet(job).map(({ label, unit, value, designed, found: before, holds }) => {
    const said = (v: number | null) =>
      v === null ? '–' : unit === 'length' ? say(v) : sayValue(v, unit, tape);
    return [
      label,
      said(before),
      said(designed),
      said(value),
      holds === null ? '' : holds ? 'as wanted' : 'not as wanted',
    ];
  });
  doc.table(['On the ground', 'Found', 'Designed', 'Set', ''], set, [0.36, 0.16, 0.16, 0.16, 0.16]);
  const bars = linksOf(job.rig).flatMap((link) => {
    const seen = measuredFor(job, link.id, 'eyeToEye');
    const designed = describeBar(link).eyeToEye;
    return seen === null
      ? []
      : [
          [
            capital(memberName(link.id, job.rig.end)),
            say(designed),
            say(seen),
            say(Math.abs(seen - designed)),
          ],
        ];
  });
  doc.table(['Eye to eye', 'Designed', 'Measured', 'Apart'], bars, [0.4, 0.2, 0.2, 0.2]);
  if (set.length + bars.length === 0) doc.text('Nothing of it was measured yet.');
}

function standing(doc: Document, job: Job): void {
  const open = orNone(() => openIn(job)) ?? [];
  doc.heading('What stood open');
  if (open.length === 0) doc.text('Nothing that was looked at.');
  doc.table(
    ['Where', 'State', 'What'],
    open.map(({ station, state, title }) => [capital(station), state, title]),
    [0.14, 0.12, 0.74],
  );
}

function workDone(doc: Document, job: Job): void {
  doc.heading('The work, in its order');
  const plan = planNow(job);
  if (!plan.ok) {
    doc.text('No order could be made of it.');
    return;
  }
  doc.table(
    ['', 'Step', 'State', 'When, and what was written'],
    plan.steps.map(({ task, standing: s }, i) => [
      String(i + 1),
      task.title,
      { done: 'done', notHere: 'not on this car', doubt: 'in doubt', waits: '', ready: '' }[s.kind],
      s.kind === 'done'
        ? [day(s.at), s.note].filter(Boolean).join(': ')
        : s.kind === 'doubt'
          ? s.changes.join('; ')
          : '',
    ]),
    [0.06, 0.46, 0.14, 0.34],
  );
}

function weldsMade(doc: Document, job: Job): void {
  const { weld } = job;
  doc.heading('Brackets, and holds that were passed over');
  if (weld.log.length === 0) doc.text('None was tacked yet.');
  doc.table(
    ['When', 'Bracket', 'To', 'Why it went on, and what was open'],
    weld.log.map(({ at, member, bracket, to, reason, open }) => [
      day(at),
      capital(heldName(job, member, bracket)),
      to,
      [reason && `“${reason}”`, open?.length && `Open: ${open.join('; ')}`].filter(Boolean).join(' '),
    ]),
    [0.14, 0.26, 0.12, 0.48],
  );
}

function tightened(doc: Document, job: Job): void {
  const say = (v: number | null) => (v === null ? '–' : TORQUE.say(v, job.tape));
  doc.heading('Torque');
  doc.small(
    'By grade: T = K · d · F, F three quarters of the proof load (SAE J429, ISO 898-1, from memory), where the maker’s value was not typed.',
  );
  doc.table(
    ['Fastener', 'Size', 'Wanted', 'Came to', 'When'],
    torqueSheet(job).map(({ what, size, grade, wanted, applied, maker }) => [
      what,
      [size, grade].filter(Boolean).join(', '),
      wanted === null ? 'maker’s' : `${say(wanted)}${maker === null ? '' : ', maker’s'}`,
      say(applied?.value ?? null),
      applied ? day(applied.at) : '',
    ]),
    [0.36, 0.22, 0.16, 0.12, 0.14],
  );
}

function driven(doc: Document, { drive, tape }: Job): void {
  if (drive.outings.length === 0) return;
  doc.heading('Drives');
  doc.table(
    ['When and where', 'Changed since before', 'Felt, timed, written'],
    drive.outings.map((one, i) => {
      const changed = changedSince(drive, i, tape);
      return [
        `${day(one.at)} ${one.place}`,
        changed ? changed.join('; ') || 'nothing' : '–',
        [
          Object.entries(one.feel)
            .map(([phase, feel]) => `${phase} ${feel}`)
            .join(', '),
          one.times.map(({ what, value }) => `${what} ${value}`).join(', '),
          one.note,
        ]
          .filter(Boolean)
          .join('. '),
      ];
    }),
    [0.24, 0.36, 0.4],
  );
}

function cautionsGiven(doc: Document, job: Job): void {
  doc.heading('Cautions that were given');
  const said = new Set(tasksOf(job).flatMap(({ caution }) => caution ?? []));
  for (const caution of said) doc.text(`– ${caution}`);
}

async function pictures(doc: Document, job: Job, photos: BookPhoto[]): Promise<void> {
  if (photos.length === 0) return;
  doc.heading('Photographs');
  const titles = titlesOf(job);
  for (const { item, at, jpeg } of photos) await doc.photo(jpeg, `${titles.get(item) ?? item}, ${day(at)}`);
}

/** What a photograph may be of, in words, by how it is kept. */
const titlesOf = (job: Job): Map<string, string> =>
  new Map([
    ...INSPECTION.map(({ id, label }) => [id as string, label] as const),
    ...tasksOf(job).map(({ id, title }) => [`plan/${id}`, title] as const),
    ...job.drive.outings.map(({ id, place }) => [`outing/${id}`, `Outing, ${place}`] as const),
  ]);

/** The day of a moment, as files write it; nothing of one that is not known. */
const day = (at: string | null): string => (at ?? '').slice(0, 10);
