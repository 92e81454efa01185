import { located } from '../../support/locate';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { fileName, fileStem, readJob, writeJob } from '@/core/job/file';
import { solveRig } from '@/core/bench/solveRig';
import { InputError, readRig } from '@/core/rig/read';
import { demoJobs } from '@/store/demo';
import { threeLink } from '../../support/rigs/rigs';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';
import { withMounts } from '@/core/job/edits/mounts';

const rig = threeLink({ sweep: [{ left: 50, right: 50 }] });
const spoil = (change: (r: Record<string, never> & typeof rig) => void): string => {
  const copy = structuredClone(rig) as never;
  change(copy);
  return JSON.stringify(copy);
};

const BAD: [name: string, text: string, path: RegExp][] = [
  ['not JSON', '{"format":', /not JSON/],
  ['an array', '[]', /expected object/],
  ['a wrong type', spoil((r) => Object.assign(r, { track: '57' })), /^track: expected number/],
  ['a missing value', spoil((r) => Object.assign(r, { track: undefined })), /^track: .*missing/],
  ['an unknown key', spoil((r) => Object.assign(r, { tyreRadius: 3 })), /^tyreRadius: unknown key/],
  [
    'an unknown key deep down',
    spoil((r) => Object.assign(r.members[1]!, { colour: 'red' })),
    /^members\[1\]\.colour: unknown key/,
  ],
  ['not a finite number', JSON.stringify(rig).replace('1470', '1e999'), /^track/],
  ['out of range', spoil((r) => Object.assign(r, { tireRadius: -1 })), /^tireRadius/],
  ['a wrong point', spoil((r) => Object.assign(r.members[0]!, { axle: [1, 2] })), /^members\[0\]\.axle/],
  ['a duplicate id', spoil((r) => Object.assign(r.members[1]!, { id: 'upper' })), /^members\[2\]\.id/],
  [
    'a link of no length',
    spoil((r) => Object.assign(r.members[0]!, { axle: [620, 480, 300] })),
    /^members\[0\]/,
  ],
  ['another format', spoil((r) => Object.assign(r, { format: 'other' })), /^format/],
  ['an axle left free', spoil((r) => r.members.pop()), /^members: nothing stops the axle moving sideways/],
];

describe.each(BAD)('%s', (_name, text, where) => {
  test('is refused with its place and what was expected', () => {
    expect(() => solveRig(readRig(text))).toThrow(where);
  });
});

test('more than 32 MB is refused before it is read', () => {
  expect(() => readRig(' '.repeat(33 * 1024 * 1024))).toThrow(InputError);
});

describe('the command', () => {
  const folder = mkdtempSync(join(tmpdir(), 'pellik-'));
  const pellik = (text: string) => {
    const file = join(folder, 'rig.json');
    writeFileSync(file, text);
    return spawnSync('npx', ['--no-install', 'tsx', 'bin/pellik.ts', 'solve', file], { encoding: 'utf8' });
  };

  test('gives the answer of the core', () => {
    const command = pellik(JSON.stringify(rig));
    expect(command.status).toBe(0);
    expect(JSON.parse(command.stdout)).toEqual(JSON.parse(JSON.stringify(solveRig(rig))));
  });

  test('refuses bad input: one line, status 2, nothing on stdout', () => {
    const text = JSON.stringify({ ...rig, track: 'wide' });
    const command = pellik(text);
    expect(command.status).toBe(2);
    expect(command.stdout).toBe('');
    expect(
      command.stderr
        .trim()
        .split('\n')
        .filter((l) => !l.startsWith('npm')),
    ).toEqual([expect.stringMatching(/rig\.json: track: expected number/)]);
  });
});

const withoutMembers = (job: Job): Job => ({ ...job, laidOut: true, rig: { ...job.rig, members: [] } });

describe('job files', () => {
  test('come back as they went out, whatever was moved', () => {
    const coordinate = fc.double({ min: 100, max: 900, noNaN: true });
    fc.assert(
      fc.property(coordinate, coordinate, (a, b) => {
        const job = withMounts(newJob('a-job', 'A job', 'in32'), [
          { member: 'panhard', end: 'chassis', axis: 1, mm: a },
          { member: 'panhard', end: 'axle', axis: 2, mm: b },
        ]);
        expect(readJob(writeJob(job))).toEqual(job);
      }),
      { numRuns: 30 },
    );
  });

  test('the demo jobs are valid, and unchanged by being read', () => {
    for (const job of demoJobs()) expect(readJob(writeJob(job))).toEqual(job);
    const onDisk = readFileSync('src/store/demo/marigold.pellik.json', 'utf8');
    expect(readJob(onDisk)).toEqual(JSON.parse(onDisk));
    const wrong = demoJobs().map((job) => {
      const { sideways, lengthwise } = located(job).verdicts;
      return [...sideways, ...lengthwise].filter((v) => v.state !== 'ok').length;
    });
    expect(Math.min(...wrong)).toBeGreaterThan(0);
  });

  test.each([
    ['{"format":"pellik.rig"}', /not a Pellik job/],
    ['{"format":"pellik.job","version":9}', /newer Pellik/],
    [writeJob(newJob('x', 'x', 'mm')).replace('"tape": "mm"', '"tape": "cubits"'), /^tape/],
    [writeJob(withoutMembers(newJob('x', 'x', 'mm'))), /rig\.members.*at least 1/],
    [writeJob(newJob('x', 'x', 'mm')).slice(0, 400), /not JSON/],
    [writeJob(newJob('x', 'x', 'mm')).replace('"id": "x"', '"id": "../../x"'), /^id/],
  ])('a damaged one is refused (%#)', (text, where) => expect(() => readJob(text)).toThrow(where));

  test('what it says was typed of a reading is held against its value; the other is not shown', () => {
    const job = newJob('x', 'x', 'in16');
    const at = '2026-03-14T09:05:47.000Z';
    const said = (key: string, value: number, typed: string) =>
      readJob(writeJob({ ...job, readings: { [key]: [{ value, typed, at }] } })).readings[key]![0]!.typed;
    for (const typed of ['57 1/8', '1451', '145.1 cm', '1451,2'])
      expect(said('track', 1451, typed)).toBe(typed);
    for (const typed of ['75 1/8', 'about', '']) expect(said('track', 1451, typed)).toBe('1451 mm');
    expect(said('pinionAngle', -2.5, '2.5 nose up')).toBe('2.5 nose up');
    expect(said('pinionAngle', -2.5, '3.5')).toBe('-2.5');
    expect(said('weightRear.left', 381, '840')).toBe('840');
    expect(said('weightRear.left', 381, '480 lb')).toBe('381 kg');
  });

  test('are named after the job', () => {
    const names = {
      'Über / <Wagon> #2': 'uber-wagon-2',
      '///': 'job',
      '': 'job',
      CON: 'job-con',
      'lpt1 ': 'job-lpt1',
      'Машина 3': 'машина-3',
      車軸: '車軸',
      '..\\..\u0000etc': 'etc',
      ['x'.repeat(120)]: 'x'.repeat(60),
    };
    for (const [name, stem] of Object.entries(names)) expect(fileName({ name })).toBe(`${stem}.pellik.json`);
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 120 }), (name) => {
        expect(fileStem(name)).toMatch(/^[\p{L}\p{N}]([\p{L}\p{N}-]*[\p{L}\p{N}])?$/u);
        expect(new TextEncoder().encode(fileName({ name })).length).toBeLessThan(255);
      }),
    );
  });
});
