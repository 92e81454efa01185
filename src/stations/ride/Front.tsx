'use client';
import { useJobPart } from '@/store/jobStore';
import { Alike } from './front/Alike';
import { Straight } from './front/Straight';
import { Toe } from './front/Toe';

/** A front axle’s own, in working order: toe, the steering wheel straight, and the drag link beside the track bar. */
export function Front() {
  const front = useJobPart((j) => j.rig.end === 'front');
  if (!front) return null;
  return (
    <>
      <Toe />
      <Straight />
      <Alike />
    </>
  );
}
