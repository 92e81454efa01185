'use client';
import { Select } from 'antd';
import { THREAD_NAMES, type ThreadName } from '@/core/materials/threads';

/** The thread that both ends of a bar are wound on. */
export const ThreadField = ({
  thread,
  onPick,
}: {
  thread: ThreadName;
  onPick: (thread: ThreadName) => void;
}) => (
  <label>
    <span className="length-label">Thread of its ends</span>
    <Select<ThreadName>
      aria-label="Thread of its ends"
      value={thread}
      onChange={onPick}
      options={THREAD_NAMES.map((name) => ({ value: name, label: name }))}
    />
  </label>
);
