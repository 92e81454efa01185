import 'fake-indexeddb/auto';
import type { Obstacle } from '@/core/rig/schema';
import {
  beginGesture,
  edit,
  putOnBench,
  redo,
  showDragged,
  undo,
  useDragged,
  useJobStore,
} from '@/store/jobStore';
import { moveMounts } from '@/store/edits/mountEdits';
import { addObstacles, editObstacle, freeName, shiftObstacle } from '@/store/edits/obstacleEdits';
import { setRocker, useRocker } from '@/store/rocker';
import { setPreferences } from '@/store/preferences';
import { newJob } from '@/core/job/newJob';
import { isCarsOwn } from '@/core/job/bodies/bodyNames';
import { ownObstacles, workBar } from '@/core/job/jobValues';

const job = () => useJobStore.getState().job!;
const ball: Obstacle = { id: 'ball', on: 'chassis', shape: 'sphere', centre: [0, 100, 300], radius: 20 };
const pipe: Obstacle = {
  id: 'pipe',
  on: 'axle',
  shape: 'capsule',
  from: [0, 0, 300],
  to: [100, 0, 300],
  radius: 10,
};
const tank: Obstacle = {
  id: 'tank',
  on: 'chassis',
  shape: 'box',
  min: [-400, -200, 300],
  max: [-200, 200, 500],
};

beforeEach(() => putOnBench(newJob('check', 'Check', 'mm'), {}));

describe('a drag', () => {
  const height = () => workBar(job())!.chassis[2];
  const raise = (mm: number) => moveMounts([{ member: 'panhard', end: 'chassis', axis: 2, mm }]);

  test('shows nothing until it is worked out, then all of it at once, and is one step of undo', () => {
    const before = height();
    const finish = beginGesture()!;
    raise(before + 3);
    raise(before + 7);
    expect(height()).toBe(before);
    showDragged(useDragged.getState().job!);
    expect(height()).toBe(before + 7);
    raise(before + 9);
    finish();
    expect(height()).toBe(before + 9);
    expect(useDragged.getState().job).toBeNull();
    undo();
    expect(height()).toBe(before);
  });

  test('that moved nothing leaves nothing to undo', () => {
    const start = job();
    edit((j) => ({ ...j, name: 'Once' }));
    beginGesture()!();
    undo();
    expect(job()).toBe(start);
  });

  test('is the only one while it goes on, and nothing is undone under the hand', () => {
    edit((j) => ({ ...j, name: 'Before' }));
    const before = height();
    const finish = beginGesture()!;
    raise(before + 5);
    // A second finger, or the other hand at the keys.
    expect(beginGesture()).toBeNull();
    undo();
    redo();
    finish();
    expect([job().name, height()]).toEqual(['Before', before + 5]);
    undo();
    expect([job().name, height()]).toEqual(['Before', before]);
  });

  test('of a job that is no longer on the bench changes nothing of the one that is', () => {
    const finish = beginGesture()!;
    raise(height() + 5);
    const other = newJob('other', 'Other', 'mm');
    putOnBench(other, {});
    finish();
    expect(job()).toBe(other);
    edit((j) => ({ ...j, name: 'Renamed' }));
    undo();
    expect(job()).toBe(other);
  });

  test('without one, a late answer of the worker changes nothing', () => {
    const kept = job();
    showDragged({ ...kept, name: 'Too late' });
    expect(job()).toBe(kept);
  });

  test('of one side moves the other too, while both are kept alike', () => {
    const left = () => job().rig.members.find((m) => m.id === 'lower-left')! as { axle: number[] };
    const right = () => job().rig.members.find((m) => m.id === 'lower-right')! as { axle: number[] };
    setPreferences({ alike: true });
    moveMounts([{ member: 'lower-left', end: 'axle', axis: 1, mm: 511 }]);
    expect([left().axle[1], right().axle[1]]).toEqual([511, -511]);
    setPreferences({ alike: false });
    moveMounts([{ member: 'lower-left', end: 'axle', axis: 1, mm: 490 }]);
    expect([left().axle[1], right().axle[1]]).toEqual([490, -511]);
    setPreferences({ alike: true });
  });
});

describe('what is in the way', () => {
  test('keeps a name of its own', () => {
    addObstacles([tank, tank, tank]);
    expect(ownObstacles(job().rig).map((o) => o.id)).toEqual(['tank', 'tank 2', 'tank 3']);
    expect(freeName('tank 2', [{ id: 'tank' }])).toBe('tank 2');
  });

  test.each([ball, pipe, tank])('is shifted whole: $id', (thing) => {
    addObstacles([thing]);
    setRocker(20, 20);
    shiftObstacle(thing.id, { 0: 5, 2: -7 });
    const points = (o: Obstacle) =>
      o.shape === 'sphere' ? [o.centre] : o.shape === 'box' ? [o.min, o.max] : [o.from, o.to];
    const now = ownObstacles(job().rig).find((o) => o.id === thing.id)!;
    expect(points(now)).toEqual(points(thing).map(([x, y, z]) => [x + 5, y, z - 7]));
    // Things are set as they stand at ride height.
    expect(useRocker.getState()).toEqual({ left: 0, right: 0 });
  });

  test('goes when it is taken away, and the axle’s own housing stays', () => {
    addObstacles([ball]);
    editObstacle('ball', () => null);
    expect(ownObstacles(job().rig)).toEqual([]);
    const left = job().rig.obstacles!.map((o) => o.id);
    expect(left.slice(0, 4)).toEqual(['axle tube', 'pinion nose', 'centre section', 'differential cover']);
    expect(left.every(isCarsOwn)).toBe(true);
  });
});
