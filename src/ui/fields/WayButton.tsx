'use client';
import { Button } from 'antd';
import { memo } from 'react';
import type { Ways } from '@/core/units/ways';
import { useStable } from '@/ui/useStable';

const Turn = memo(Button);

type Props = { label: string; ways: Ways; value: number; onTurn: () => void };

/** Says which way a value counts, and turns it about. */
export function WayButton({ label, ways, value, onTurn }: Props) {
  const [now, other] = value < 0 ? [ways[1], ways[0]] : ways;
  const turn = useStable(onTurn);
  return (
    <Turn className="way" aria-label={`${label}: ${now}. Change to ${other}`} onClick={turn}>
      {now}
    </Turn>
  );
}
