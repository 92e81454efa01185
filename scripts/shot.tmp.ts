// @ts-nocheck
import { writeFileSync } from 'node:fs';
import { Hands, serve } from '../tests/support/page/browser';
const server = await serve(); const hands = await Hands.open(server.address); const d = hands.driver;
await hands.go('marigold', 'prove');
await d.sleep(1500);
await hands.part('what is left of an old bracket');
await hands.type('parts/panhard/axle/over/wide', '1 1/2');
await d.sleep(1500);
await d.executeScript('document.querySelector("[data-verdict]").scrollIntoView({block:"center"})');
writeFileSync('/tmp/s1.png', Buffer.from(await d.takeScreenshot(), 'base64'));
await d.executeScript('document.querySelector("#prove-parts").scrollIntoView({block:"start"})');
writeFileSync('/tmp/s2.png', Buffer.from(await d.takeScreenshot(), 'base64'));
await d.executeScript('document.getElementById("field-parts/panhard/axle/over/wide").scrollIntoView({block:"center"})');
writeFileSync('/tmp/s3.png', Buffer.from(await d.takeScreenshot(), 'base64'));
console.log(await d.executeScript("return [...document.querySelectorAll('[data-verdict], .verdict, [data-check]')].map(x=>x.textContent).join('\\n')"));
await hands.close(); server.stop();
