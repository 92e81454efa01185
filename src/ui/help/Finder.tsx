'use client';
import { Modal } from 'antd';
import { Command } from 'cmdk';
import { useMemo, useRef, useState } from 'react';
import type { StationId } from '@/core/bench/stationIds';
import { findable, type Find } from './findable';
import './help.css';

type Props = { open: boolean; onClose: () => void; onGo: (station: StationId) => void };

/** Every word that was typed stands somewhere in the name or the place. */
const hasEveryWord = (value: string, typed: string): number =>
  typed
    .toLowerCase()
    .split(/\s+/)
    .every((word) => value.toLowerCase().includes(word))
    ? 1
    : 0;

/** Finds any value or command by part of its name and goes there. */
export function Finder({ open, onClose, onGo }: Props) {
  const [text, setText] = useState('');
  const taken = useRef<Find | null>(null);
  const all = useMemo(() => findable(onGo), [onGo]);
  const close = () => {
    setText('');
    onClose();
  };
  // Only once the dialog is gone and has let go of the focus.
  const goWhereTaken = () => {
    taken.current?.go();
    taken.current = null;
  };
  const take = (find: Find) => {
    taken.current = find;
    close();
  };
  return (
    <Modal
      open={open}
      onCancel={close}
      footer={null}
      title="Find a value or a command"
      destroyOnHidden
      focusTriggerAfterClose={false}
      afterClose={goWhereTaken}
    >
      <Command label="What to find" filter={hasEveryWord}>
        <Command.Input
          autoFocus
          className="finder-text"
          aria-label="What to find"
          placeholder="track, frame end, undo…"
          value={text}
          onValueChange={setText}
        />
        <Command.List className="finder-list" label="Found">
          <Command.Empty className="keys-note">
            Nothing by that name. Try a shorter word, like “tyre”.
          </Command.Empty>
          {all.map((find) => (
            <Command.Item
              key={`${find.where}/${find.name}`}
              value={`${find.name} ${find.where}`}
              onSelect={() => take(find)}
            >
              {find.name}
              <span className="where">{find.where}</span>
            </Command.Item>
          ))}
        </Command.List>
      </Command>
    </Modal>
  );
}
