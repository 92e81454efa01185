import { create } from 'zustand';

/** Where the travel rocker stands: lift of each wheel from ride height, mm. A way of looking, not part of the job. */
export const useRocker = create<{ left: number; right: number }>()(() => ({ left: 0, right: 0 }));

export const setRocker = (left: number, right: number): void => useRocker.setState({ left, right });
