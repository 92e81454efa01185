import { readJob } from '@/core/job/file';
import cinder from './cinder.pellik.json';
import copperline from './copperline.pellik.json';
import marigold from './marigold.pellik.json';
import nightjar from './nightjar.pellik.json';
import pewter from './pewter.pellik.json';
import tinker from './tinker.pellik.json';
import type { Job } from '@/core/job/jobSchema';

/** Made-up cars of a made-up shop, of different layouts and uses, each with something wrong that Pellik finds. The first opens. */
export const demoJobs = (): Job[] =>
  [marigold, pewter, nightjar, tinker, copperline, cinder].map((file) => readJob(JSON.stringify(file)));
