'use client';
import { Button } from 'antd';
import { useState } from 'react';
import { withOutingSaid } from '@/core/drive/setUps';
import type { Outing } from '@/core/job/slices/work/drive';
import { edit } from '@/store/jobStore';
import { NumberField } from '@/ui/fields/NumberField';
import { Input } from '@/ui/fields/textInput';

const MOST = 20;

/** Lap or strip numbers of an outing, each by its name. */
export function Times({ outing }: { outing: Outing }) {
  const [what, setWhat] = useState('');
  const { id, times } = outing;
  const put = (next: Outing['times']) => edit((j) => withOutingSaid(j, id, { times: next }));
  return (
    <>
      <h2>Lap or strip numbers</h2>
      {times.map((time, i) => (
        <div key={i} className="outing-time">
          <NumberField
            field={`outing/${id}/time/${i}`}
            label={time.what}
            showLabel
            value={time.value}
            least={0}
            most={100_000}
            unit=""
            decimals={3}
            onEnter={(value) => put(times.map((t, k) => (k === i ? { ...t, value } : t)))}
          />
          <Button aria-label={`Take ${time.what} out`} onClick={() => put(times.filter((_, k) => k !== i))}>
            ×
          </Button>
        </div>
      ))}
      {times.length < MOST && (
        <div className="outing-time">
          <label>
            A number’s name, with its unit
            <Input
              value={what}
              maxLength={40}
              placeholder="best lap, s"
              data-outing-text="time"
              onChange={(e) => setWhat(e.target.value)}
            />
          </label>
          <Button
            disabled={!what.trim()}
            onClick={() => {
              put([...times, { what: what.trim(), value: 0 }]);
              setWhat('');
            }}
          >
            Add
          </Button>
        </div>
      )}
    </>
  );
}
