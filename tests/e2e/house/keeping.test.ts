import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { deflateSync } from 'node:zlib';
import { address, hands, openBench } from '../../support/page/bench';
import { beforeEachPage, fillDisk, freeDisk, storedJob } from '../../support/page/storage';

openBench();

const choose = async (css: string, ...files: string[]) => (await hands.find(css)).sendKeys(files.join('\n'));
const toJob = async (job: string) => hands.go(job, 'job');
const photos = () => hands.count('.photos img');

/** A grey picture, as large as is asked. */
function grey(name: string, side: number): string {
  const crc = (bytes: Buffer) => {
    let c = ~0;
    for (const byte of bytes) {
      c ^= byte;
      for (let k = 0; k < 8; k++) c = c & 1 ? (c >>> 1) ^ 0xedb88320 : c >>> 1;
    }
    return ~c >>> 0;
  };
  const chunk = (kind: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(kind), data]);
    const out = Buffer.alloc(body.length + 8);
    out.writeUInt32BE(data.length);
    body.copy(out, 4);
    out.writeUInt32BE(crc(body), body.length + 4);
    return out;
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(side, 0);
  head.writeUInt32BE(side, 4);
  head.set([1, 0, 0, 0, 0], 8);
  const rows = deflateSync(Buffer.alloc((Math.ceil(side / 8) + 1) * side));
  const file = join(hands.downloads, name);
  writeFileSync(
    file,
    Buffer.concat([
      Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
      chunk('IHDR', head),
      chunk('IDAT', rows),
      chunk('IEND', Buffer.alloc(0)),
    ]),
  );
  return file;
}

test('a picture of 256 megapixels is refused in words, before it is decoded; a small one is kept', async () => {
  await hands.go('pewter', 'record');
  await hands.part('Inspect');
  await choose('[data-photo=welds]', grey('huge.png', 16_000));
  await hands.reads('.ant-notification', 'at most 100 megapixels');
  await choose('[data-photo=welds]', grey('small.png', 64));
  await hands.until(async () => (await photos()) === 1);
});

test('a job goes out with its photo as one zip, and comes in with it; without is said', async () => {
  await toJob('pewter');
  await hands.reads('.shelf', 'never exported');
  await hands.press('Export this job');
  const zip = await hands.downloaded('old-pewter-rear-axle.pellik.zip');
  expect(readFileSync(zip).subarray(0, 2).toString()).toBe('PK');
  await hands.reads('.shelf', 'last exported today');
  await hands.press('Keep it safe');
  await hands.press('Without photos');
  await hands.downloaded('old-pewter-rear-axle.pellik.json');
  await hands.reads('.ant-notification', 'without its photos');
  await hands.closeDialog();

  await choose('[data-input=job]', zip);
  await hands.reads('.masthead-job', 'Old Pewter, rear axle, imported');
  await hands.station(2, '');
  await hands.part('Inspect');
  await hands.until(async () => (await photos()) === 1);
  await hands.until(() =>
    hands.driver.executeScript<boolean>('return document.querySelector(".photos img").naturalWidth === 64'),
  );
});

test('a zip that is cut off is refused with its reason, and nothing is changed', async () => {
  await toJob('pewter');
  const before = await hands.count('.shelf li');
  const whole = readFileSync(join(hands.downloads, 'old-pewter-rear-axle.pellik.zip'));
  const cut = join(hands.downloads, 'cut.zip');
  writeFileSync(cut, whole.subarray(0, whole.length - 200));
  await choose('[data-input=job]', cut);
  await hands.reads(
    '.ant-notification',
    /cut\.zip was not taken in[\s\S]*cut off or damaged[\s\S]*Nothing here was changed/,
  );
  expect(await hands.count('.shelf li')).toBe(before);
});

test('the whole shelf goes out as one file; what was removed since comes back from it', async () => {
  await hands.press('Keep it safe');
  await hands.press('Back up');
  const backup = await hands.downloaded(`pellik-shelf-${new Date().toISOString().slice(0, 10)}.pellik.zip`);
  await hands.closeDialog();
  const before = await hands.count('.shelf li');
  await hands.press('Remove Tinker, front axle');
  await hands.until(async () => (await hands.count('.shelf li')) === before - 1);
  await hands.press('Keep it safe');
  await choose('[data-input=backup]', backup);
  await hands.reads('.ant-notification', /1 jobs? taken in\. \d+ were here already/);
  await hands.reads('.masthead-job', 'Tinker');
  await hands.until(async () => (await hands.count('.shelf li')) === before);
});

test('a job that is changed is saved into a chosen folder as well', async () => {
  await toJob('pewter');
  // The page's own files stand in for a folder of the disk, which a chooser of the system would be needed for.
  await hands.driver.executeScript('window.showDirectoryPicker = () => navigator.storage.getDirectory()');
  await hands.press('Keep it safe');
  await hands.press('Choose a folder');
  await hands.reads('.kept', 'last ');
  await hands.closeDialog();
  const size = () =>
    hands.driver.executeAsyncScript<number>(`
      const done = arguments[arguments.length - 1];
      navigator.storage.getDirectory()
        .then((folder) => folder.getFileHandle('old-pewter-rear-axle-pewter.pellik.zip'))
        .then((file) => file.getFile())
        .then((file) => done(file.size), () => done(0));`);
  const before = await size();
  expect(before).toBeGreaterThan(1000);
  const notes = await hands.find('.text-field textarea');
  await notes.sendKeys('of the folder '.repeat(40));
  await hands.until(async () => (await size()) > before);
});

test('what the browser promises is shown, and it can be asked', async () => {
  await hands.press('Keep it safe');
  await hands.reads('.kept', /promised to keep the jobs|may clear the jobs/);
  await hands.closeDialog();
});

test('on a full disk a job leaves with its photo as a file, and the next one comes', async () => {
  await toJob('pewter');
  await fillDisk();
  await (await hands.find('#job-name')).sendKeys(' unkept');
  await hands.reads('.masthead-save', 'storage is full');
  await hands.driver.executeScript('location.hash = "/demo-copperline/job"');
  await hands.reads('.ant-notification', 'is not stored yet, so it stays on the bench');
  await hands.press('Save it as a file and go on');
  await hands.downloaded('old-pewter-rear-axle-unkept.pellik.zip');
  await hands.reads('.ant-notification', 'the job and its photo');
  await hands.reads('.masthead-job', 'Copperline');
  await freeDisk();
  expect((await storedJob('demo-pewter'))!.job.name).toBe('Old Pewter, rear axle');
});

test('where storage is refused a zip can be worked on, and what stays in it is said', async () => {
  const undo = await beforeEachPage(
    `Object.defineProperty(window, 'indexedDB', { get() { throw new DOMException('no', 'SecurityError') } })`,
  );
  await hands.driver.get(`${address}/#/`);
  await hands.driver.navigate().refresh();
  await choose('[data-input=unstored-job]', join(hands.downloads, 'old-pewter-rear-axle-unkept.pellik.zip'));
  await hands.reads('.masthead-job', 'Old Pewter, rear axle unkept');
  await hands.reads('.ant-notification', /without its photos[\s\S]*still in old-pewter/);
  await undo();
  await hands.driver.executeScript('window.onbeforeunload = null');
});
