'use client';
import { Button } from 'antd';
import { lazy, useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { StationId } from '@/core/bench/stationIds';
import { Bay } from '@/bay/Bay';
import type { Figures } from '@/bay/views/shownFigures';
import type { Movable } from '@/bay/handles/Mounts';
import type { Job } from '@/core/job/jobSchema';
import { useInstruments } from '@/store/instruments';
import { jobOnBench, showDragged, useDragged, useJobPart, useJobStore } from '@/store/jobStore';
import { isReadAsBuilt, useReading } from '@/store/reading';
import { useRocker } from '@/store/rocker';
import type { RollPart } from '@/core/roll/analyse';
import { usePreferences, type LocatePart } from '@/store/preferences';
import { BuiltReading } from '@/ui/shell/BuiltReading';
import { Masthead } from '@/ui/shell/Masthead';
import { Opened } from '@/ui/Opened';
import { Opening } from '@/ui/Opening';
import { Rocker } from '@/ui/shell/Rocker';
import { goTo, parseRoute, useRoute } from '@/ui/shell/route';
import { Standing } from '@/ui/shell/Standing';
import { TapeStrip } from '@/ui/shell/TapeStrip';
import { useShortcuts } from '@/ui/help/useShortcuts';
import { answerHoldsFor, askLocate, askUncertainty, useLocate } from '@/workers/locate';
import { adviseAbout } from '@/workers/advice';
import { askAgreement } from '@/workers/choosing/search';
import { isStale, useHealth } from '@/workers/supervised';
import './bench.css';
import { FromBefore } from './FromBefore';
import { fetchStations, stations } from './stations';

const InstrumentBar = lazy(async () => ({
  default: (await import('@/ui/shell/instruments/InstrumentBar')).InstrumentBar,
}));
const Help = lazy(async () => ({ default: (await import('@/ui/help/Help')).Help }));
const Finder = lazy(async () => ({ default: (await import('@/ui/help/Finder')).Finder }));

/** What each station measures is what the bay shows of the figures. */
const FIGURES: Record<StationId, Figures> = {
  job: 'none',
  record: 'car',
  place: 'car',
  locate: 'mounts',
  roll: 'none',
  prove: 'none',
  cut: 'mounts',
  weld: 'mounts',
  ride: 'gaps',
  drive: 'mounts',
};

/** What can be moved in the bay while Locate is at work on something. */
const MOVABLE: Record<LocatePart, Movable> = {
  bar: 'bar',
  links: 'links',
  room: 'room',
  forces: 'none',
  heights: 'none',
  find: 'none',
  ways: 'none',
};

const MOVABLE_AT_ROLL: Record<RollPart, Movable> = { springs: 'none', bar: 'sway', balance: 'bar' };

function movableAt(station: StationId, focus: LocatePart, part: RollPart): Movable {
  if (station === 'locate') return MOVABLE[focus];
  return station === 'roll' ? MOVABLE_AT_ROLL[part] : 'none';
}

/** One bay, its stations: the tape above, the card beside, the rocker below. */
export function Bench() {
  const jobId = useJobPart((j) => j.id);
  const { station } = useRoute();
  const focus = usePreferences((s) => s.focus);
  const part = usePreferences((s) => s.roll);
  const gauges = useInstruments((s) => s.on);
  const asBuilt = useReading(isReadAsBuilt);
  const [open, setOpen] = useState<'help' | 'find' | null>(null);
  const go = (id: typeof station) => goTo(jobId, id);

  useShortcuts({
    station: (n) => stations[n - 1] && go(stations[n - 1]!.id),
    find: () => setOpen('find'),
    help: () => setOpen('help'),
  });

  useLayoutEffect(() => useReading.setState({ station }), [station]);
  useEffect(fetchTheRest, []);
  useEffect(askTheWorker, []);
  useEffect(askUncertaintyAtRest, []);
  useEffect(adviseAtRest, []);

  const card = useRef<HTMLElement>(null);
  const shown = useRef(station);
  useEffect(() => {
    // Where all of it scrolls as one page, what was asked for is below the drawing.
    if (shown.current !== station && document.documentElement.scrollHeight > window.innerHeight)
      card.current?.scrollIntoView();
    shown.current = station;
  }, [station]);

  const { Card } = stations.find((s) => s.id === station)!;
  return (
    <div className="bench" data-at={station}>
      <Masthead onFind={() => setOpen('find')} onHelp={() => setOpen('help')} />
      <TapeStrip stations={stations} current={station} onGo={go} />
      <section className="bay-side no-print" aria-label="Drawing">
        <Bay
          movable={asBuilt ? 'none' : movableAt(station, focus, part)}
          figures={station === 'locate' && focus !== 'bar' ? 'none' : FIGURES[station]}
          forces={station === 'locate' && focus === 'forces'}
        />
        <Rocker />
      </section>
      <main className={`bench-card at-${station}`} key={station} ref={card}>
        <FromBefore />
        <Standing station={station} />
        <BuiltReading station={station} />
        <Opening>
          <Card />
          <Next station={station} onGo={go} />
        </Opening>
        <Opened open={gauges}>
          <InstrumentBar />
        </Opened>
      </main>
      <Opened open={open === 'help'}>
        <Help open={open === 'help'} onClose={() => setOpen(null)} stations={stations.map((s) => s.name)} />
      </Opened>
      <Opened open={open === 'find'}>
        <Finder open={open === 'find'} onClose={() => setOpen(null)} onGo={go} />
      </Opened>
    </div>
  );
}

/**
 * Every change of the job or the rocker goes to the worker; what comes back is what every station reads. Straight from the
 * stores, so that the worker is at it while the fields are still being drawn.
 */
function askTheWorker(): () => void {
  const atRoll = () => parseRoute(window.location.hash).station === 'roll';
  const ask = () => {
    const job = useDragged.getState().job ?? jobOnBench();
    if (job) void askLocate({ job, rocker: useRocker.getState() });
  };
  ask();
  // A drag stays in the hand where no answer comes, or comes too late to follow it.
  const unanswered = () => {
    const { job } = useDragged.getState();
    if (job && isStale()) showDragged(job);
  };
  const off = [
    useJobStore.subscribe((now, before) => {
      if (now.job !== before.job && !useDragged.getState().job) ask();
    }),
    useDragged.subscribe(unanswered),
    useHealth.subscribe(unanswered),
    // Roll shows what is dragged there with its own answer, so that all of it changes in one frame.
    useDragged.subscribe(({ job }) => {
      if (job && !(atRoll() && answerHoldsFor(job))) ask();
    }),
    useRocker.subscribe(ask),
    useReading.subscribe((now, before) => isReadAsBuilt(now) !== isReadAsBuilt(before) && ask()),
    useLocate.subscribe(({ job }) => {
      if (job && !atRoll()) showDragged(job);
    }),
  ];
  return () => off.forEach((stop) => stop());
}

/** Once the first view has long been drawn, ms. */
const AFTER_FIRST_VIEW = 4000;

function fetchTheRest(): () => void {
  const timer = setTimeout(fetchStations, AFTER_FIRST_VIEW);
  return () => clearTimeout(timer);
}

/** Long enough after the last change that a drag is not held up by it, ms. */
const AT_REST = 350;

/** How far the results can be trusted is worked out when the hand rests. */
const askUncertaintyAtRest = (): (() => void) =>
  onceStill(AT_REST, (job) => {
    void askUncertainty(job);
    void askAgreement(job);
  });

/** How long a car stands still before all of it is looked at and its remedies are tried, ms: a drag passes through many. */
const STILL = 250;

const adviseAtRest = (): (() => void) => onceStill(STILL, (job) => void adviseAbout(job));

/**
 * Does something with the job on the bench once it has not changed for so long, ms, and nothing in it is held; straight from the
 * stores, so that the bench is not drawn anew for it.
 */
function onceStill(ms: number, act: (job: Job) => void): () => void {
  let timer: ReturnType<typeof setTimeout>;
  const wait = () => {
    clearTimeout(timer);
    timer = setTimeout(() => {
      const job = jobOnBench();
      if (job && !useDragged.getState().job) act(job);
    }, ms);
  };
  wait();
  const off = [
    useJobStore.subscribe((now, before) => now.job !== before.job && wait()),
    useDragged.subscribe(({ job }) => !job && wait()),
    useReading.subscribe((now, before) => isReadAsBuilt(now) !== isReadAsBuilt(before) && wait()),
  ];
  return () => {
    off.forEach((stop) => stop());
    clearTimeout(timer);
  };
}

/** Where the work goes on. */
function Next({ station, onGo }: { station: StationId; onGo: (id: StationId) => void }) {
  const next = stations[stations.findIndex((s) => s.id === station) + 1];
  return next ? (
    <Button className="next-station no-print" block onClick={() => onGo(next.id)}>
      Next: {next.name}
    </Button>
  ) : null;
}
