import { withFront } from '@/core/job/edits/front';
import { withLayout } from '@/core/job/edits/layout';
import { newJob } from '@/core/job/newJob';
import { located } from '../tests/support/locate';
for (const l of ['front-four-link','front-radius-arms','front-leaf'] as const) for (const f of [{driven:true},{box:'axle' as const}]) {
 const job = withFront(withLayout(newJob('x','X','in16'), l), f);
 const { result, verdicts } = located(job);
 console.log('##', l, f, result.gaps.slice(0,3).map(g=>`${g.a}/${g.b} ${g.distance.toFixed(1)}`).join('; '));
 for (const v of [...verdicts.sideways, ...verdicts.lengthwise, ...verdicts.room]) console.log('  ', v.state, v.title, '|', v.reason.slice(0,160), '|', v.remedies.map(r=>r.text.slice(0,80)).join(' / '));
}
