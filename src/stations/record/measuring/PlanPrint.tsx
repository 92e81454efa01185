import { MeasureDrawing } from '@/bay/parts/MeasureDrawing';
import type { Step } from '@/core/record/plan';
import { spotName } from '@/core/survey/quantities/quantities';
import { TOOLS } from '@/core/survey/quantities/tools';
import { useJob } from '@/store/jobStore';
import { PaperLine } from '@/ui/cards/Card';
import { usePrinting } from '@/ui/paper/usePrinting';

/** The measuring plan on paper: every reading with its drawing and a line to write on. */
export function PlanPrint({ plan }: { plan: Step[] }) {
  const job = useJob();
  if (!usePrinting()) return null;
  return (
    <section className="print-only plan-print">
      <h2>Measuring plan</h2>
      <PaperLine />
      <ol>
        {plan.map((step, i) => (
          <li key={step.key}>
            <MeasureDrawing job={job} spot={step.key} width={210} height={130} />
            <div>
              <b>
                {i + 1}. {spotName(step)}
              </b>
              <p>
                {step.how} ({TOOLS[step.tool].name})
              </p>
              <p className="write-on">______ &nbsp; ______ &nbsp; ______</p>
            </div>
          </li>
        ))}
      </ol>
    </section>
  );
}
