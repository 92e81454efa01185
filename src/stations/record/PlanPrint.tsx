import { MeasureDrawing } from '@/bay/MeasureDrawing';
import type { Step } from '@/core/measure/plan';
import { spotName } from '@/core/measure/quantities';
import { TOOLS } from '@/core/measure/tools';
import { useJob } from '@/store/jobStore';
import { usePrinting } from '@/ui/printing';

/** The measuring plan on paper: every reading with its drawing and a line to write on. */
export function PlanPrint({ plan }: { plan: Step[] }) {
  const job = useJob();
  if (!usePrinting()) return null;
  return (
    <section className="print-only plan-print">
      <h2>{job.name}: measuring plan</h2>
      <ol>
        {plan.map((step) => (
          <li key={step.key}>
            <MeasureDrawing job={job} spot={step.key} width={210} height={120} />
            <div>
              <b>{spotName(step)}</b>
              <p>
                {step.how} ({TOOLS[step.tool].name})
              </p>
              <p className="write-on">1 __________ 2 __________ 3 __________</p>
            </div>
          </li>
        ))}
      </ol>
    </section>
  );
}
