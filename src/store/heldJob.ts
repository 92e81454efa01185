'use client';
import { createContext } from 'react';
import type { Job } from '@/core/job/jobSchema';

/** The job that a part of the screen stays at while something is in the hand; null where it goes by the one on the bench. */
export const HeldJob = createContext<Job | null>(null);
