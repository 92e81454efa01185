import fc from 'fast-check';
import { checkJob } from '@/core/advice/check';
import { plausibleCar } from '../tests/support/plausible';
import { sayTrade, sayEffects } from '@/core/advice/words';
const cars = fc.sample(plausibleCar, { numRuns: 7, seed: Number(process.argv[2]) });
for (const car of cars) {
  try {
    const { stations } = checkJob(car);
    console.log(`\n##### ${car.layout} ${car.use} ${car.tape} track ${car.rig.track.toFixed(0)}`);
    for (const [st, list] of Object.entries(stations)) for (const v of list as any[]) {
      if (v.state === 'ok' || st === 'weld') continue;
      console.log(`[${st} ${v.state}] ${v.title} — ${v.reason}${v.restsOn.length ? ` (guess: ${v.restsOn.slice(0,3).join('; ')})` : ''}`);
      for (const r of v.remedies) console.log(`     ${r.id ? '→' : '·'} ${r.text}${r.effect?.length ? ' ALSO ' + sayEffects(r.effect, car.tape) : ''}${r.spoils ? ' SPOILS ' + r.spoils.join('; ') : ''}${r.trade ? ' TRADE ' + sayTrade(r.trade, car.tape) : ''}`);
    }
  } catch (e) { console.log(`\n##### ${car.layout}`, String(e)); }
}
