'use client';
import { Button } from 'antd';
import { useState } from 'react';
import { type RideAnswer, springFor } from '@/core/springs/springTravel';
import type { Coil } from '@/core/springs/springDesign';
import { sayLength } from '@/core/units/length';
import { useJobPart } from '@/store/jobStore';
import { putRoll } from '@/store/edits/rollEdits';
import { NumberField } from '@/ui/fields/NumberField';
import { SPRING_RATE } from '@/core/units/unit';

/** Nobody winds a longer one for a car, mm. */
const LONGEST = 1500;

/** The coil that makes this end bounce as often as is wanted, and stands at ride height. */
export function FindSpring({ springs, ride }: { springs: Coil; ride: RideAnswer }) {
  const tape = useJobPart((j) => j.tape);
  const [hertz, setHertz] = useState(1.5);
  const { rate, free } = springFor(springs, ride, hertz);
  return (
    <section className="section">
      <h2>Find a spring</h2>
      <div className="two-up">
        <NumberField
          field="find/hertz"
          label="Bounces wanted, a second"
          showLabel
          value={hertz}
          least={0.5}
          most={4}
          unit=""
          decimals={2}
          onEnter={setHertz}
        />
        <Button
          disabled={!(free > 0 && free < LONGEST)}
          onClick={() => putRoll(() => ({ springs: { ...springs, rate, free } }))}
        >
          Take {SPRING_RATE.say(rate, tape)}
        </Button>
      </div>
      <p className="hint" data-readout="springFor">
        {SPRING_RATE.say(rate, tape)}, {sayLength(free, tape)} long unloaded, stands at ride height and does
        that.
      </p>
    </section>
  );
}
