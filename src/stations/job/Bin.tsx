'use client';
import { Button, Modal } from 'antd';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { INSPECTION } from '@/core/record/inspection';
import { BIN_DAYS, binned, takeBack, throwOut } from '@/store/storage/bin';
import type { BinRow } from '@/store/storage/db';
import { sayDay, sayMoment } from '@/ui/paper/dates';

/** What was thrown away: when, until when it is kept, and the way back. */
export function Bin({ open, onClose }: { open: boolean; onClose: () => void }) {
  const rows = useLiveQuery(binned) ?? [];
  return (
    <Modal title="The bin" open={open} onCancel={onClose} footer={null} width={680} centered className="kept">
      <p className="hint">Jobs and photos stay here for {BIN_DAYS} days, and are then gone for good.</p>
      {rows.length === 0 && <p>There is nothing in it.</p>}
      <ul>
        {rows.map((row) => (
          <li key={row.id}>
            <p>
              <b>{called(row)}</b>
              <span className="hint">
                thrown away {sayMoment(row.at)}, kept until {sayDay(row.until)}
              </span>
            </p>
            <Button aria-label={`Take back: ${called(row)}`} onClick={() => void takeBack(row.id!)}>
              take back
            </Button>
            <ThrowOut row={row} />
          </li>
        ))}
      </ul>
    </Modal>
  );
}

function called({ kind, name }: BinRow): string {
  if (kind === 'job') return name || 'Unnamed job';
  return `Photo: ${INSPECTION.find(({ id }) => id === name)?.label ?? name}`;
}

/** Asks once more, for this cannot be undone. */
function ThrowOut({ row }: { row: BinRow }) {
  const [sure, setSure] = useState(false);
  if (!sure)
    return (
      <Button type="text" aria-label={`Throw out: ${called(row)}`} onClick={() => setSure(true)}>
        throw out
      </Button>
    );
  return (
    <Button danger aria-label={`For good: ${called(row)}`} onClick={() => void throwOut(row)}>
      for good
    </Button>
  );
}
