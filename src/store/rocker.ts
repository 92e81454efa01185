import { create } from 'zustand';

/** Where the travel rocker stands: lift of each wheel from ride height, mm. A way of looking, not part of the job. */
export const useRocker = create<{ left: number; right: number }>()(() => ({ left: 0, right: 0 }));

export function setRocker(left: number, right: number): void {
  const now = useRocker.getState();
  if (now.left !== left || now.right !== right) useRocker.setState({ left, right });
}
