import { readFileSync } from 'node:fs';
import { address, hands, openBench } from '../../support/page/bench';
import { beforeEachPage, fillDisk, freeDisk, spoil, storedJob } from '../../support/page/storage';

openBench();

const visit = (hash: string) =>
  hands.driver.get(`${address}/${hash}`).then(() => hands.driver.navigate().refresh());
const onBench = () => hands.text('.masthead-job');

test('one job that cannot be read locks nothing else away: it is shown with its reason, saved as it is, removed and taken back', async () => {
  await spoil('demo-tinker', 'row.job.cornerG = 99');
  await hands.driver.executeScript('location.hash = "/demo-tinker/job"');
  await hands.reads('[data-door=job]', 'cornerG');
  await hands.reads('.shelf li[data-fault]', 'Tinker');
  expect(await hands.count('.shelf-buttons .ant-btn')).toBe(5);
  // Another job can be had from there, and the trouble is forgotten.
  await hands.clickOn('//li//b[text()="Old Pewter, rear axle"]');
  await hands.reads('.masthead-job', 'Old Pewter');
  await hands.reads('.shelf li[data-fault]', 'Cannot be opened: cornerG');
  expect(await hands.count('[data-door]')).toBe(0);

  await hands.press('Save Tinker, front axle as it lies in storage');
  const file = await hands.downloaded('demo-tinker.pellik.json');
  expect((JSON.parse(readFileSync(file, 'utf8')) as { cornerG: number }).cornerG).toBe(99);

  await hands.press('Remove Tinker, front axle');
  await hands.until(async () => (await hands.count('.shelf li[data-fault]')) === 0);
  await hands.press('Bin');
  await hands.press('Take back: Tinker, front axle');
  await hands.reads('.kept', 'There is nothing in it');
  await hands.closeDialog();
  await hands.until(async () => (await hands.count('.shelf li[data-fault]')) === 1);
});

test('the bare address goes to the next job that can be read', async () => {
  await hands.go('nightjar', 'job');
  await (await hands.find('#job-name')).sendKeys('!');
  await hands.saved();
  await spoil('demo-nightjar', 'row.was = row.job; row.job = "rust"');
  await visit('');
  await hands.find('.bench-card h1');
  expect(await onBench()).not.toMatch(/Nightjar|Tinker/);
  await hands.until(async () => (await hands.count('.shelf li[data-fault]')) === 2);
  // Mended, it is found so at the next visit.
  await spoil('demo-nightjar', 'row.job = row.was');
  await spoil('demo-tinker', 'row.job.cornerG = 1');
  await visit('');
  await hands.find('.bench-card h1');
  await hands.until(async () => (await hands.count('.shelf li[data-fault]')) === 0);
});

test('a mistyped address, and preferences that are rubbish, open the bench', async () => {
  await hands.driver.executeScript(
    `localStorage.setItem('pellik-ways', '{"state":{"chart":null,"layers":7,"focus":"nowhere","roll":[]},"version":0}')`,
  );
  await visit('#/%');
  await hands.find('.bench-card h1');
  await hands.station(4, '');
  await hands.station(5, '');
  await hands.driver.executeScript(`localStorage.setItem('pellik-ways', '{{{')`);
  await hands.reload();
  await hands.find('.masthead-job');
});

test.each([
  [
    'refused',
    `Object.defineProperty(window, 'indexedDB', { get() { throw new DOMException('no', 'SecurityError') } })`,
  ],
  ['refused', `IDBFactory.prototype.open = () => { throw new DOMException('no', 'InvalidStateError') }`],
  [
    'silent',
    `IDBFactory.prototype.open = () => new EventTarget(); IDBFactory.prototype.databases = () => new Promise(() => {})`,
  ],
  ['newer', `IDBFactory.prototype.databases = () => Promise.resolve([{ name: 'pellik', version: 9990 }])`],
  [
    'full',
    `IDBObjectStore.prototype.put = () => { throw new DOMException('no', 'QuotaExceededError') }; IDBFactory.prototype.databases = () => Promise.reject(new DOMException('no', 'QuotaExceededError'))`,
  ],
])('storage that is %s is said plainly, and there is a way on', async (problem, source) => {
  const undo = await beforeEachPage(source);
  await visit('');
  await hands.find(`[data-door=${problem}]`);
  await hands.press('Start a job that is not stored');
  await hands.reads('.masthead-job', 'New job');
  await hands.station(4, '');
  await undo();
  await hands.driver.executeScript('window.onbeforeunload = null');
  await visit('');
  await hands.find('.bench-card h1');
});

test('a full disk while working: said, held, tried again, and the file offered', async () => {
  await hands.go('marigold', 'job');
  await fillDisk();
  const name = await hands.find('#job-name');
  await name.sendKeys(' kept');
  await hands.reads('.masthead-save', 'storage is full');
  await hands.driver.executeScript('location.hash = "/demo-copperline/job"');
  await hands.reads('.ant-notification', 'is not stored yet, so it stays on the bench');
  await hands.reads('.masthead-job', 'Marigold, rear axle kept');
  await hands.button('export now');
  await freeDisk();
  await hands.saved();
  expect((await storedJob('demo-marigold'))!.job.name).toBe('Marigold, rear axle kept');
});
