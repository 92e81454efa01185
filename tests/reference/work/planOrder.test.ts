import { alg, Graph } from '@dagrejs/graphlib';
import fc from 'fast-check';
import { inOrder } from '@/core/plan/order';
import { TRACKS } from '@/core/job/slices/work/plan';
import { tasksOf } from '@/core/plan/plan';
import { ZONES, type Task } from '@/core/plan/task';
import { demoJobs } from '@/store/demo';

/** Random plans, most of them without a circle; against a general graph library (`@dagrejs/graphlib`). */
const plans = fc.nat(40).chain((n) =>
  fc.record({
    n: fc.constant(n + 1),
    edges: fc.array(fc.tuple(fc.nat(n), fc.nat(n)), { maxLength: 90 }),
    backward: fc.boolean(),
    where: fc.array(fc.tuple(fc.constantFrom(...TRACKS), fc.constantFrom(...ZONES)), {
      minLength: n + 1,
      maxLength: n + 1,
    }),
  }),
);

const tasksFrom = ({
  n,
  edges,
  backward,
  where,
}: typeof plans extends fc.Arbitrary<infer T> ? T : never): Task[] =>
  Array.from({ length: n }, (_, i) => ({
    id: `t${i}`,
    track: where[i]![0],
    zone: where[i]![1],
    title: `Step ${i}`,
    how: 'done',
    after: edges
      .filter(([from, to]) => to === i && (backward || from < to))
      .map(([from]) => ({ id: `t${from}`, why: 'so' })),
    basis: {},
  }));

const graphOf = (tasks: Task[]): Graph => {
  const graph = new Graph();
  tasks.forEach(({ id }) => graph.setNode(id));
  tasks.forEach(({ id, after }) => after.forEach((before) => graph.setEdge(before.id, id)));
  return graph;
};

test('a plan has an order where a general graph library finds no circle, and only there', () => {
  fc.assert(
    fc.property(plans, (plan) => {
      const tasks = tasksFrom(plan);
      const graph = graphOf(tasks);
      const ordered = inOrder(tasks);
      expect(ordered.ok).toBe(alg.isAcyclic(graph));
      if (ordered.ok) {
        const at = new Map(ordered.tasks.map(({ id }, i) => [id, i]));
        expect([...at.keys()].sort()).toEqual([...alg.topsort(graph)].sort());
        graph.edges().forEach(({ v, w }) => expect(at.get(v)).toBeLessThan(at.get(w)!));
      } else {
        // What is told to go round does: one of the library's own circles holds all of it.
        const told = ordered.circle.map(({ id }) => id);
        const circles = [
          ...alg.findCycles(graph),
          ...graph
            .nodes()
            .filter((v) => graph.hasEdge(v, v))
            .map((v) => [v]),
        ];
        expect(circles.some((circle) => told.every((id) => circle.includes(id)))).toBe(true);
        told.forEach((id, i) => expect(graph.hasEdge(told.at(i - 1)!, id)).toBe(true));
      }
    }),
    { numRuns: 400 },
  );
});

test.each(demoJobs().map((job) => [job.name, job] as const))('the plan of %s has no circle', (_, job) => {
  expect(alg.isAcyclic(graphOf(tasksOf(job)))).toBe(true);
});
