'use client';
import { Modal } from 'antd';
import { setPreferences, usePreferences, type Keys } from '@/store/preferences';
import { Pills } from '@/ui/cards/Pills';
import './help.css';

/** Some speak to their device, and some brush against its keys. */
const KEYS: { value: Keys; label: string }[] = [
  { value: 'plain', label: 'as they are' },
  { value: 'alt', label: 'with Alt' },
  { value: 'none', label: 'off' },
];

/** The keys, on one page, and whether those that act by themselves do. */
export function Help({
  open,
  onClose,
  stations,
}: {
  open: boolean;
  onClose: () => void;
  stations: string[];
}) {
  const single = usePreferences((s) => s.keys);
  const keys: [string, string][] = [
    ['1 – 9, 0', `The stations: ${stations.join(', ')}`],
    ['↑  ↓', 'Both wheels up, both down'],
    ['←  →', 'Left wheel up, right wheel up, the other down'],
    ['Home', 'Back to ride height'],
    ['/', 'Find any value or command'],
    ['Ctrl Z', 'Undo; Ctrl Shift Z or Ctrl Y redoes'],
    ['Tab, then arrows', 'On a bar’s eye in the bay: moves it one line of the tape; with Shift, eight'],
    ['Enter', 'Takes over what was typed; Esc puts back what was there, and once more lets go of the field'],
    ['F2', 'Takes the gauge’s reading into the field, once it holds still'],
    ['?', 'This page'],
  ];
  return (
    <Modal open={open} onCancel={onClose} footer={null} title="Keys, and how to type a length" width={620}>
      <Pills legend="Single keys" options={KEYS} value={single} onPick={(keys) => setPreferences({ keys })} />
      <dl className="keys">
        {keys.map(([key, what]) => (
          <div key={key}>
            <dt>{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
      <p className="keys-note">
        A length may be typed as <code>28 1/2</code>, <code>28-1/2</code>, <code>28.5</code>,{' '}
        <code>2&apos; 4 1/2&quot;</code> or <code>724mm</code>. A place may end in its side:{' '}
        <code>18 7/8 L</code>, <code>6 1/2 behind</code>.
      </p>
      <p className="keys-note">
        Rust-red is fixed to the frame, grey to the axle, dashed is elsewhere in its travel. A paint stripe
        means you checked it; a broken stripe means something under it has changed since.
      </p>
      <p className="keys-note">
        What Pellik works out helps you judge. It certifies nothing: local rules, the vehicle maker and a
        qualified welder or inspector come first.
      </p>
    </Modal>
  );
}
