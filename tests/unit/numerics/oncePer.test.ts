import { oncePer } from '@/core/numerics/oncePer';
import type { Job } from '@/core/job/jobSchema';
import { newJob } from '@/core/job/newJob';

test('a question about a job is worked out once for each thing of it, and anew for a job that was changed', () => {
  const asked: string[] = [];
  const named = oncePer((job: Job, key: string) => {
    asked.push(key);
    return `${job.name} ${key}`;
  });
  const job = newJob('one', 'One', 'mm');
  expect([named(job, 'a'), named(job, 'b'), named(job, 'a')]).toEqual(['One a', 'One b', 'One a']);
  expect(asked).toEqual(['a', 'b']);
  expect(named({ ...job, name: 'Other' }, 'a')).toBe('Other a');
  expect(asked).toEqual(['a', 'b', 'a']);
});
