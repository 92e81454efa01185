import { readJob } from '@/core/job/file';
import type { Job } from '@/core/job/schema';
import marigold from './marigold.pellik.json';

/** Made-up cars of a made-up shop, each with something wrong that Pellik finds. */
export const demoJobs = (): Job[] => [marigold].map((file) => readJob(JSON.stringify(file)));
