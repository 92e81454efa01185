import type { Job } from './jobSchema';

/**
 * The answer to a question about a job and something of it, worked out once for each pair: a job is never changed, an edit makes
 * another. Answers go with the jobs that they are of.
 *
 * @param question what is asked of a job, and of an object or a name of it
 */
export function oncePerJob<Key, Answer>(
  question: (job: Job, key: Key) => Answer,
): (job: Job, key: Key) => Answer {
  const answers = new WeakMap<Job, Map<Key, Answer>>();
  return (job, key) => {
    let ofJob = answers.get(job);
    if (!ofJob) answers.set(job, (ofJob = new Map<Key, Answer>()));
    const known = ofJob.get(key);
    if (known !== undefined) return known;
    const answer = question(job, key);
    ofJob.set(key, answer);
    return answer;
  };
}
