import { withBodies } from '@/core/job/bodies/bodies';
import { unsound } from '../../support/numbers';
import { readJob, writeJob } from '@/core/job/file';
import { assemble } from '@/core/kinematics/mechanism';
import { LAYOUT_IDS, layoutEnd } from '@/core/rig/layouts';
import { located } from '../../support/locate';
import { everyLayout } from '../../support/layouts';
import { mountsOf } from '@/core/rig/mounts';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { onBothSides, withMounts } from '@/core/job/edits/mounts';
import { workBar } from '@/core/job/jobValues';
import { withLayout } from '@/core/job/edits/members/layout';

const NOW = '2026-03-20T10:00:00.000Z';
const analyse = (job: Job) => located(job, { left: 20, right: -20 });
const bare = newJob('check', 'Check', 'mm');

describe.each(LAYOUT_IDS)('a new job laid out as %s', (layout) => {
  const job = withLayout(bare, layout);

  test('moves through its whole travel, says no NaN, and stays a file that can be read', () => {
    const { result, verdicts } = analyse(job);
    expect(job.rig.end).toBe(layoutEnd(layout));
    expect(result.curve.every((p) => p.limitingMember === undefined)).toBe(true);
    expect(unsound(result)).toEqual([]);
    expect(unsound(verdicts)).toEqual([]);
    expect(readJob(writeJob(job))).toEqual(job);
    expect(verdicts.lengthwise.length).toBeGreaterThan(1);
  });

  test('follows the car’s measurements until a mount is moved', () => {
    const measured = { ...job, readings: { track: [{ value: 1650, typed: '1650', at: NOW }] } };
    const wider = readJob(writeJob(measured));
    expect(wider.rig.members).not.toEqual(job.rig.members);
    const member = job.rig.members[0]!;
    const key = mountsOf(job.rig, member.id)[0]!.key;
    const moved = withMounts(job, [{ member: member.id, end: key, axis: 2, mm: 333 }]);
    expect(readJob(writeJob({ ...moved, readings: measured.readings })).rig.members).toEqual(
      moved.rig.members,
    );
  });
});

test('changing layout drops what was typed for members that are gone and can be undone by value', () => {
  const typed = { ...bare, typed: { 'panhard/chassis/2': '14', 'cut/od': '1 1/4' } };
  const ladder = withLayout(typed, 'ladder-bars-panhard');
  expect(ladder.typed).toEqual({ 'cut/od': '1 1/4' });
  expect(withLayout(ladder, 'three-link-panhard').rig).toEqual(bare.rig);
  expect(withLayout(bare, 'front-four-link').rig.steering).toBeDefined();
  expect(withLayout(withLayout(bare, 'front-four-link'), 'leaf-panhard').rig.steering).toBeUndefined();
});

test('a change to one of a pair is mirrored on the other, and only there', () => {
  const changes = onBothSides(bare, [
    { member: 'lower-left', end: 'axle', axis: 1, mm: 480 },
    { member: 'upper', end: 'axle', axis: 1, mm: -40 },
  ]);
  expect(changes).toEqual([
    { member: 'lower-left', end: 'axle', axis: 1, mm: 480 },
    { member: 'lower-right', end: 'axle', axis: 1, mm: -480 },
    { member: 'upper', end: 'axle', axis: 1, mm: -40 },
  ]);
  expect(workBar(withMounts(bare, changes))!).toEqual(workBar(bare)!);
});

// What the remedies promise: raising the front end of the lower members plants the tyres more and steers the axle looser.
test.each(everyLayout.filter(([, rig]) => rig.end === 'rear' && rig.wheelbase))(
  '%s: the remedies point the right way',
  (_id, rig) => {
    const lower = rig.members.filter(
      (m) => ['rigid-arm', 'leaf'].includes(m.type) || m.id.startsWith('lower'),
    );
    // With its bodies as the bench has them: arms give.
    const whole = withBodies({ ...bare, rig });
    const raised = withMounts(
      whole,
      lower.map((m) => {
        const front = mountsOf(rig, m.id)[0]!;
        return { member: m.id, end: front.key, axis: 2 as const, mm: front.point[2] + 15 };
      }),
    ).rig;
    const [before, after] = [assemble(whole.rig).ride, assemble(raised).ride];
    expect(after.antiSquatPct!).toBeGreaterThan(before.antiSquatPct!);
    expect(after.rollSteer!).toBeLessThan(before.rollSteer!);
  },
);

test('bind is found where members outnumber motions, and where', () => {
  const ladder = analyse(withLayout(bare, 'ladder-bars-panhard'));
  const bind = ladder.result.links.bind!;
  expect(Math.abs(bind.at.left - bind.at.right)).toBeGreaterThan(1);
  const said = ladder.verdicts.lengthwise.find((v) => v.id === 'bind')!;
  expect(said.state).toBe('look');
  expect(`${said.title} ${said.reason}`).toContain('wheel up');
  expect(analyse(bare).result.links.bind).toBeNull();
  const front = analyse(withLayout(bare, 'front-four-link'));
  expect(front.result.links.steering!.match!.length).toBeLessThan(60);
});
