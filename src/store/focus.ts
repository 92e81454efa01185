import { create } from 'zustand';

/** What Locate is working on: the bar across the car, or the members that hold the axle lengthwise; and whether a change on one side is made on the other too. Ways of working, not part of the job. */
export type Focus = 'bar' | 'links';

export const useFocus = create<{ focus: Focus; alike: boolean }>()(() => ({ focus: 'bar', alike: true }));

export const setFocus = (focus: Focus): void => useFocus.setState({ focus });
export const setAlike = (alike: boolean): void => useFocus.setState({ alike });
