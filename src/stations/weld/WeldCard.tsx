'use client';
import { Segmented } from 'antd';
import { setPreferences, usePreferences, type WeldPart } from '@/store/preferences';
import { BookPart } from './BookPart';
import { ClosePart } from './close/ClosePart';
import { HoldPart } from './hold/HoldPart';
import { PlanPart } from './plan/PlanPart';
import { TorquePart } from './torque/TorquePart';
import './weld.css';

const PARTS: Record<WeldPart, { word: string; part: () => React.ReactNode }> = {
  plan: { word: 'Plan', part: PlanPart },
  hold: { word: 'Hold', part: HoldPart },
  close: { word: 'Close?', part: ClosePart },
  torque: { word: 'Torque', part: TorquePart },
  book: { word: 'Book', part: BookPart },
};

/** The order of work, what must be true before a bracket is welded, and how tight everything is. */
export function WeldCard() {
  const part = usePreferences((s) => s.weld);
  const Part = PARTS[part].part;
  return (
    <>
      <Segmented
        block
        className="parts-of-card no-print"
        options={(Object.keys(PARTS) as WeldPart[]).map((value) => ({ value, label: PARTS[value].word }))}
        value={part}
        onChange={(weld) => setPreferences({ weld })}
      />
      <Part />
    </>
  );
}
