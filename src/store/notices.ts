import { create } from 'zustand';

/** Something said in the corner of the screen; `key` takes the place of an earlier one of that name. */
export type Notice = {
  kind: 'success' | 'info' | 'error';
  title: string;
  description?: string;
  key?: string;
  /** stands until it is closed */
  stays?: boolean;
  action?: { label: string; act: () => void };
};

/** Notices not yet shown, the first said first. */
export const useNotices = create<{ waiting: Notice[] }>()(() => ({ waiting: [] }));

export const say = (notice: Notice): void =>
  useNotices.setState(({ waiting }) => ({ waiting: [...waiting, notice] }));

/** Takes the notices that wait, to be shown. */
export function takeNotices(): Notice[] {
  const { waiting } = useNotices.getState();
  if (waiting.length) useNotices.setState({ waiting: [] });
  return waiting;
}
