import { writeFileSync } from 'node:fs';
import { Hands, serve } from '../tests/support/browser';
const server = await serve();
for (const [w, h] of [
  [640, 400],
  [390, 844],
  [820, 1180],
] as const) {
  const hands = await Hands.open(server.address, w, h);
  for (const st of (process.env.ST ?? 'job,locate').split(',')) {
    await hands.driver.executeScript('location.hash = arguments[0]', `/demo-copperline/${st}`);
    await hands.driver.sleep(1500);
    writeFileSync(`/tmp/shot-${w}-${st}.png`, await hands.driver.takeScreenshot(), 'base64');
    console.log(
      w,
      st,
      await hands.driver.executeScript(`
      const small = [...document.querySelectorAll('button, a[href], input:not([hidden]), select, textarea, [role=button], [role=slider], [role=tab], label, summary, [tabindex="0"]')].filter(e => e.checkVisibility() && e.getBoundingClientRect().width > 0).map(e => [e, e.closest('label') ?? e]).filter(([e,t]) => {const r=t.getBoundingClientRect(); return r.width < 44 || r.height < 44;}).map(([e]) => (e.tagName + '.' + (e.className.baseVal ?? e.className)).slice(0,60) + ' ' + Math.round(e.getBoundingClientRect().width)+'x'+Math.round(e.getBoundingClientRect().height));
      const counts = {}; for (const s of small) { const k = s; counts[k] = (counts[k] ?? 0) + 1; }
      return document.documentElement.scrollWidth + ' ' + small.length + '\\n' + Object.entries(counts).map(([k,v])=>v+'× '+k).slice(0,30).join('\\n')`),
    );
  }
  await hands.close();
}
server.stop();
