import { ELASTIC } from './steels';

/** What bars, brackets and plates are made of: yield and ultimate strength, and yield within an inch of a weld, N/mm²; Young's modulus, N/mm²; density, kg/mm³. */
export type Metal = {
  name: string;
  yield: number;
  ultimate: number;
  welded: number;
  E: number;
  density: number;
  /** what it does past its yield: bends and shows it, or breaks with little warning where its welding went wrong */
  fails: 'bends' | 'breaks';
};

const STEEL = { E: ELASTIC.E, density: 7850e-9 };

/**
 * Usual least values of each, all from memory: ERW and DOM tube of 1020 steel (ASTM A513), 4130 normalised (AMS 6360), plate (ASTM A36),
 * cold-drawn 1018, 6061-T6 (Aluminum Design Manual). What a mill certificate says comes first.
 */
export const METALS = {
  erw: { name: 'Mild steel tube, ERW', yield: 260, ultimate: 360, welded: 240, fails: 'bends', ...STEEL },
  dom: { name: 'Mild steel tube, DOM', yield: 480, ultimate: 550, welded: 330, fails: 'bends', ...STEEL },
  chromoly: {
    name: '4130 tube, normalised',
    yield: 515,
    ultimate: 655,
    welded: 415,
    fails: 'breaks',
    ...STEEL,
  },
  plate: { name: 'Mild steel plate', yield: 250, ultimate: 400, welded: 250, fails: 'bends', ...STEEL },
  bar: { name: 'Cold-drawn mild bar', yield: 370, ultimate: 440, welded: 250, fails: 'bends', ...STEEL },
  aluminium: {
    name: 'Aluminium, 6061-T6',
    yield: 240,
    ultimate: 290,
    welded: 105,
    E: 69_000,
    density: 2700e-9,
    fails: 'breaks',
  },
} as const satisfies Record<string, Metal>;

export type MetalName = keyof typeof METALS;
export const METAL_NAMES = Object.keys(METALS) as [MetalName, ...MetalName[]];

/** What holds a rod end: its shank, and the bung it is screwed into; yield, N/mm² (alloy steel, and mild; from memory). */
export const THREADED = {
  shank: { name: 'Shank of a rod end', yield: 550 },
  bung: { name: 'Threaded bung', yield: 250 },
} as const;

/** All that has a strength of its own that a certificate or a maker may tell better. */
export type StrengthName = MetalName | keyof typeof THREADED;
export const STRENGTH_NAMES = [...METAL_NAMES, 'shank', 'bung'] as [StrengthName, ...StrengthName[]];

/** Grades of bolts: yield, ultimate and proof strength, N/mm² (SAE J429 to 1 in and ISO 898-1, from memory; class 8.8 to 16 mm). */
export const BOLT_GRADES = {
  'grade-5': { name: 'Grade 5', yield: 634, ultimate: 827, proof: 586 },
  'grade-8': { name: 'Grade 8', yield: 896, ultimate: 1034, proof: 827 },
  'class-8.8': { name: 'Class 8.8', yield: 640, ultimate: 800, proof: 580 },
  'class-10.9': { name: 'Class 10.9', yield: 940, ultimate: 1040, proof: 830 },
} as const;

export type BoltGrade = keyof typeof BOLT_GRADES;
export const BOLT_GRADE_NAMES = Object.keys(BOLT_GRADES) as [BoltGrade, ...BoltGrade[]];

/** What a weld metal breaks at, N/mm² (AWS A5.18 ER70S-6 and A5.28 ER80S-D2, from memory). */
export const ELECTRODES = {
  e70: { name: '70 ksi wire or rod', ultimate: 483 },
  e80: { name: '80 ksi wire or rod', ultimate: 552 },
} as const;

export type Electrode = keyof typeof ELECTRODES;
export const ELECTRODE_NAMES = Object.keys(ELECTRODES) as [Electrode, ...Electrode[]];
