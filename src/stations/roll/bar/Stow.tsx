'use client';
import { Checkbox, Switch } from 'antd';
import { memo } from 'react';
import type { BarDesign } from '@/core/swaybar/swayBarDesign';
import type { Leaning } from '@/core/roll/analyse';
import { useJobPart } from '@/store/jobStore';
import { putBar } from '@/store/edits/rollEdits';
import { LengthField } from '@/ui/fields/LengthField';
import { barsAlikeIn, type BarProps } from './BarLength';

type Props = BarProps & { without: Leaning | null };

/** Links that come off by a pin for the trail, and where their loose ends are pinned meanwhile. */
export const Stow = memo(function Stow({ bar, without }: Props) {
  const cornerG = useJobPart((j) => j.cornerG);
  const { stow } = bar;
  const away = bar.mountedOn === 'chassis' ? 'frame' : 'axle';
  return (
    <section className="section">
      <h2>Quick disconnect</h2>
      <Checkbox
        className="tick"
        checked={stow !== null}
        onChange={(e) => putBar({ stow: e.target.checked ? usualStow(bar) : null, hooked: true })}
      >
        The links come off by a pin
      </Checkbox>
      {stow && (
        <>
          <label className="tick">
            <Switch aria-label="Links on" checked={bar.hooked} onChange={(hooked) => putBar({ hooked })} />
            {bar.hooked ? 'Links on, as on the road' : `Links off, stowed on the ${away}`}
          </label>
          <h3>Stowed, the loose end is pinned</h3>
          <div className="two-up">
            {(
              [
                ['out', 'From the centreline', 0, 1000],
                ['height', 'Off the floor', 50, 1500],
                ['ahead', 'From the axle', -1500, 1500],
              ] as const
            ).map(([key, label, least, most]) => (
              <LengthField
                key={key}
                field={`roll/stow/${key}`}
                label={label}
                showLabel
                mm={stow[key]}
                least={least}
                most={most}
                ways={key === 'ahead' ? ['ahead', 'behind'] : undefined}
                onEnter={(mm, typed) => putBar({ stow: { ...stow, [key]: mm } }, `roll/stow/${key}`, typed)}
              />
            ))}
          </div>
          {without && (
            <p className="hint" data-readout="unhooked">
              At {cornerG} g it leans {without.rollDeg.toFixed(1)}° with the links off. A pinned link that
              swings loose reaches the tyre or a brake hose: stow both before moving off, and hook both up
              before the road.
            </p>
          )}
        </>
      )}
    </section>
  );
}, alike);

const sameBar = barsAlikeIn(
  ...(['stow', 'hooked', 'mountedOn', 'eyes', 'pointing', 'ahead', 'arm', 'height', 'rise', 'link'] as const),
);
function alike(a: Props, b: Props): boolean {
  return sameBar(a, b) && a.without?.rollDeg === b.without?.rollDeg;
}

/** Up beside its own body, the link lying along the arm: within reach of the eye as it stands. */
function usualStow(bar: BarDesign): NonNullable<BarDesign['stow']> {
  const way = bar.pointing === 'ahead' ? 1 : -1;
  const up = bar.mountedOn === 'chassis' ? 1 : -1;
  return {
    out: bar.eyes / 2,
    ahead: bar.ahead + way * (bar.arm * 0.55),
    height: bar.height + bar.rise + up * bar.link * 0.8,
  };
}
