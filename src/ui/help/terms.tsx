import type { ReactNode } from 'react';

type Explained = { lines: [string, string]; drawing: ReactNode };

/** An axle from behind: two tyres, the tube, the floor. */
const behind = (
  <>
    <path className="soft" d="M6 72 H134" />
    <rect className="axle" x="12" y="32" width="14" height="40" rx="4" />
    <rect className="axle" x="114" y="32" width="14" height="40" rx="4" />
    <path className="axle" d="M26 52 H114" />
  </>
);

/** A wheel and a lower link from the side, front to the left. */
const beside = (
  <>
    <path className="soft" d="M4 72 H136" />
    <circle className="axle" cx="108" cy="48" r="24" />
    <path d="M106 54 L52 48 M110 34 L58 38" />
    <circle className="frame" cx="52" cy="48" r="3" />
    <circle className="frame" cx="58" cy="38" r="3" />
  </>
);

/** What each word of the trade means, in two lines, with a drawing. */
export const TERMS = {
  rollCentre: {
    lines: ['The point the body leans about at this end.', 'Higher: leans less, the tail steps out sooner.'],
    drawing: (
      <>
        {behind}
        <path d="M36 40 L104 40" />
        <circle className="mark" cx="70" cy="40" r="4" />
        <path className="mark dash" d="M44 24 A30 30 0 0 1 96 24" />
      </>
    ),
  },
  rollCentreAtBar: {
    lines: [
      'Where the bar crosses the middle of the car.',
      'Behind the axle it is not quite the roll centre.',
    ],
    drawing: (
      <>
        {behind}
        <path d="M36 36 L104 46" />
        <path className="soft dash" d="M70 8 V72" />
        <circle className="mark" cx="70" cy="41" r="4" />
      </>
    ),
  },
  eyeToEye: {
    lines: [
      'From the middle of one bolt to the middle of the other.',
      'All else about a bar is cut from this.',
    ],
    drawing: (
      <>
        <circle cx="18" cy="36" r="7" />
        <circle cx="122" cy="36" r="7" />
        <path d="M26 32 H114 M26 40 H114" />
        <path className="mark" d="M18 50 V64 M122 50 V64 M18 60 H122" />
      </>
    ),
  },
  tilt: {
    lines: [
      'How far the bar leans with the car on its weight.',
      'Leaning, it pushes the axle one way more than the other.',
    ],
    drawing: (
      <>
        {behind}
        <path d="M36 30 L104 48" />
        <path className="mark dash" d="M36 48 H104" />
      </>
    ),
  },
  antiSquat: {
    lines: [
      'How much of the squat the links hold up when it pulls.',
      '100 %: the tail neither squats nor rises.',
    ],
    drawing: (
      <>
        {beside}
        <path className="soft dash" d="M106 54 L6 43 M110 34 L6 42" />
        <path className="mark" d="M108 72 L8 42" />
      </>
    ),
  },
  rollSteer: {
    lines: [
      'The axle turns a little, seen from above, as the car leans.',
      'Steadying: it turns the way that calms the car.',
    ],
    drawing: (
      <>
        <rect className="axle" x="18" y="22" width="12" height="34" rx="3" transform="rotate(8 24 39)" />
        <rect className="axle" x="110" y="26" width="12" height="34" rx="3" transform="rotate(8 116 43)" />
        <path className="axle" d="M30 40 L110 44" />
        <path className="soft dash" d="M12 42 H128" />
        <path className="mark" d="M70 14 A26 26 0 0 1 92 24 l-2 -7 m2 7 l-7 -1" />
      </>
    ),
  },
  instantCentre: {
    lines: [
      'Where the lines of the links meet, seen from the side.',
      'The axle swings about that point just then.',
    ],
    drawing: (
      <>
        {beside}
        <path className="soft dash" d="M52 48 L10 43.4 M58 38 L10 41.8" />
        <circle className="mark" cx="12" cy="43" r="4" />
      </>
    ),
  },
  pinion: {
    lines: [
      'How far the nose of the differential turns as the axle moves.',
      'The shaft’s rear joint has to follow it.',
    ],
    drawing: (
      <>
        <circle className="axle" cx="100" cy="42" r="20" />
        <path className="axle" d="M82 36 L58 34 L58 46 L82 50" />
        <path className="mark dash" d="M50 26 A40 40 0 0 0 50 56" />
        <path className="soft" d="M58 40 L10 34" />
      </>
    ),
  },
  caster: {
    lines: [
      'The lean of the kingpins, seen from the side.',
      'It brings the steering back; bumps should hardly change it.',
    ],
    drawing: (
      <>
        <circle className="axle" cx="70" cy="44" r="26" />
        <path className="soft dash" d="M70 10 V74" />
        <path className="mark" d="M80 12 L62 74" />
      </>
    ),
  },
  bind: {
    lines: [
      'More members than the axle has motions: they fight.',
      'Their bushings must give this much, or something bends.',
    ],
    drawing: (
      <>
        <path d="M20 24 H96 M20 56 H96" />
        <circle className="frame" cx="20" cy="24" r="5" />
        <circle className="frame" cx="20" cy="56" r="5" />
        <path className="axle" d="M98 16 L108 64" />
        <path className="mark" d="M100 24 l14 0 m-5 -4 l5 4 l-5 4 M106 56 l-14 0 m5 -4 l-5 4 l5 4" />
      </>
    ),
  },
  bumpSteer: {
    lines: [
      'The drag link and the track bar swing on different arcs,',
      'so a bump turns the wheels with the steering held.',
    ],
    drawing: (
      <>
        {behind}
        <path d="M34 34 L104 44" />
        <path className="mark" d="M38 24 L108 36" />
      </>
    ),
  },
  joints: {
    lines: [
      'How far each end of the shaft is bent from straight.',
      'Both alike cancel; a few degrees are plenty.',
    ],
    drawing: (
      <>
        <path className="frame" d="M8 26 H34" />
        <path d="M34 26 L106 52" />
        <path className="axle" d="M106 52 H132" />
        <path className="mark dash" d="M34 26 H62 M78 52 H106" />
      </>
    ),
  },
  plunge: {
    lines: [
      'The shaft’s front yoke slides as the axle swings.',
      'Too far in it bottoms, too far out it falls out.',
    ],
    drawing: (
      <>
        <rect className="frame" x="8" y="28" width="44" height="24" />
        <path d="M34 34 H74 V46 H34" />
        <path d="M80 40 H132" />
        <path className="mark" d="M44 64 H84 m-5 -4 l5 4 l-5 4 M49 60 l-5 4 l5 4" />
      </>
    ),
  },
  againstRoll: {
    lines: [
      'How hard this pushes back, for each degree that the body leans.',
      'Springs and bar of an end add up; so do both ends.',
    ],
    drawing: (
      <>
        {behind}
        <path className="frame" d="M38 40 L104 26" />
        <path d="M44 40 l5 -3 l-8 4 l10 2 l-8 4 l6 4 M98 28 l-5 4 l10 4 l-9 5 l9 5 l-5 5" />
        <path className="mark" d="M112 18 A40 40 0 0 1 116 34 l-5 -4 m5 4 l3 -6" />
      </>
    ),
  },
  goesOver: {
    lines: [
      'In a corner load goes from the inside tyre to the outside one.',
      'The end that shifts more of it lets go first.',
    ],
    drawing: (
      <>
        {behind}
        <path className="soft dash" d="M19 72 V58" />
        <path className="mark" d="M19 30 V22 l-3 4 m3 -4 l3 4 M121 8 V28 l-4 -5 m4 5 l4 -5" />
        <path className="mark dash" d="M28 18 Q70 2 112 14" />
      </>
    ),
  },
  leverage: {
    lines: [
      'How far the spring moves while the wheels move by one.',
      'What it does at the tyre goes with the square of that.',
    ],
    drawing: (
      <>
        <circle className="frame" cx="14" cy="50" r="4" />
        <path className="axle" d="M18 50 H106" />
        <circle className="axle" cx="112" cy="50" r="12" />
        <path d="M70 12 v6 l8 4 l-16 6 l16 6 l-16 6 l8 4 v6" />
        <path className="mark" d="M84 50 V36 m-3 4 l3 -4 l3 4 M130 50 V22 m-3 4 l3 -4 l3 4" />
      </>
    ),
  },
  bounces: {
    lines: ['How often this end goes up and down by itself in a second.', 'About one is soft, two is hard.'],
    drawing: (
      <>
        <path className="soft" d="M6 40 H134" />
        <path className="mark" d="M8 40 Q20 8 32 40 T56 40 T80 40 T104 40 T128 40" />
      </>
    ),
  },
  twist: {
    lines: [
      'What of the bar’s give is twist of its middle, and what bending.',
      'Much bending: long overhang, weak arms, or a deep dip.',
    ],
    drawing: (
      <>
        <path className="frame" d="M22 62 L34 30 H106 L118 62" />
        <circle className="frame" cx="46" cy="30" r="4" />
        <circle className="frame" cx="94" cy="30" r="4" />
        <path
          className="mark"
          d="M62 22 A10 12 0 0 1 62 40 l5 -1 m-5 1 l1 -5 M80 40 A10 12 0 0 1 80 22 l-5 1 m5 -1 l-1 5"
        />
      </>
    ),
  },
  brackets: {
    lines: [
      'The links pull one eye up and the other down; the brackets hold against that on a narrower stand.',
      'What each is bolted or welded on with has to carry it, both ways.',
    ],
    drawing: (
      <>
        <path className="frame" d="M14 40 H126" />
        <circle className="frame" cx="44" cy="40" r="5" />
        <circle className="frame" cx="96" cy="40" r="5" />
        <path
          className="mark"
          d="M14 36 V16 m-3 4 l3 -4 l3 4 M126 44 V64 m-3 -4 l3 4 l3 -4 M44 46 V74 m-3 -4 l3 4 l3 -4 M96 34 V6 m-3 4 l3 -4 l3 4"
        />
      </>
    ),
  },
} as const satisfies Record<string, Explained>;

export type TermName = keyof typeof TERMS;
