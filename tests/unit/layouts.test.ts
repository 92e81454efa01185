import { locateInput, newJob, onBothSides, workBar, withLayout, withMounts } from '@/core/job/job';
import { readJob, writeJob } from '@/core/job/file';
import type { Job } from '@/core/job/schema';
import { setInMotion } from '@/core/kinematics/answer';
import { LAYOUT_IDS, layoutEnd } from '@/core/layouts/patterns';
import { analyseLocate } from '@/core/locate/analyse';
import { mountsOf } from '@/core/rig/members';
import type { LocateResult } from '@/core/locate/types';
import { everyLayout } from '../support/layouts';

const NOW = '2026-03-20T10:00:00.000Z';
const analyse = (job: Job): LocateResult => analyseLocate(locateInput(job, { left: 20, right: -20 }));
const bare = newJob('check', 'Check', 'mm');

describe.each(LAYOUT_IDS)('a new job laid out as %s', (layout) => {
  const job = withLayout(bare, layout);

  test('moves through its whole travel, says no NaN, and stays a file that can be read', () => {
    const result = analyse(job);
    expect(job.rig.end).toBe(layoutEnd(layout));
    expect(result.curve.every((p) => p.lost === undefined)).toBe(true);
    expect(JSON.stringify(result)).not.toMatch(/null,"y"|NaN/);
    expect(readJob(writeJob(job))).toEqual(job);
    expect(result.linkVerdicts.length).toBeGreaterThan(1);
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
  expect(workBar(withMounts(bare, changes))).toEqual(workBar(bare));
});

// What the remedies promise: raising the front end of the lower members plants the tyres more and steers the axle looser.
test.each(everyLayout.filter(([, rig]) => rig.end === 'rear' && rig.wheelbase))(
  '%s: the remedies point the right way',
  (_id, rig) => {
    const lower = rig.members.filter(
      (m) => ['rigid-arm', 'leaf'].includes(m.type) || m.id.startsWith('lower'),
    );
    const raised = withMounts(
      { ...bare, rig },
      lower.map((m) => {
        const front = mountsOf(rig, m.id)[0]!;
        return { member: m.id, end: front.key, axis: 2 as const, mm: front.point[2] + 15 };
      }),
    ).rig;
    const [before, after] = [setInMotion(rig).ride, setInMotion(raised).ride];
    expect(after.antiSquatPct!).toBeGreaterThan(before.antiSquatPct!);
    expect(after.rollSteer!).toBeLessThan(before.rollSteer!);
  },
);

test('bind is found where members outnumber motions, and where', () => {
  const ladder = analyse(withLayout(bare, 'ladder-bars-panhard'));
  expect(ladder.links.bind).toMatchObject({ rigid: true, at: expect.stringContaining('wheel up') });
  expect(ladder.linkVerdicts.find((v) => v.id === 'bind')!.state).toBe('stop');
  expect(analyse(bare).links.bind).toBeNull();
  const front = analyse(withLayout(bare, 'front-four-link'));
  expect(front.links.steering!.match!.length).toBeLessThan(60);
});
