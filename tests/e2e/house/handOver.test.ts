import { Hands, serve } from '../../support/page/browser';

const IN_ADDRESS = /\/\?take=[0-9a-f]{32}/;

test('a job is handed from one device to another by the address that its code says; that needs the house network', async () => {
  const server = await serve(['--lan']);
  const [one, other] = [await Hands.open(server.address), await Hands.open(server.address, 820, 1180)];
  try {
    await one.go('pewter', 'job');
    await (await one.find('#job-name')).sendKeys(' for the tablet');
    await one.press('Keep it safe');
    await one.press('Hand over');
    await one.find('.hand-over svg');
    const [path] = IN_ADDRESS.exec(await one.text('.hand-over b'))!;
    // Both stand on this machine: the address of the house network is left out.
    await other.driver.get(server.address + path);
    await other.reads('.masthead-job', 'Old Pewter, rear axle for the tablet');
    expect(await other.driver.getCurrentUrl()).not.toContain('take=');
    await other.driver.get(`${server.address}/?take=${'0'.repeat(32)}`);
    await other.reads('.ant-notification', 'nothing to fetch');
  } finally {
    await one.close();
    await other.close();
    server.stop();
  }
});

test('over an address that the browser does not trust, all but installing works: jobs begin, are stored and copied', async () => {
  const server = await serve();
  const hands = await Hands.open(server.address);
  try {
    await (
      hands.driver as unknown as { sendDevToolsCommand: (c: string, p: object) => Promise<void> }
    ).sendDevToolsCommand('Page.addScriptToEvaluateOnNewDocument', {
      // What is withheld there.
      source: `
          delete Crypto.prototype.randomUUID;
          Object.defineProperty(Crypto.prototype, 'subtle', { value: undefined });
          for (const name of ['serviceWorker', 'storage', 'clipboard', 'locks'])
            Object.defineProperty(Navigator.prototype, name, { get: () => undefined });
          Object.defineProperty(window, 'isSecureContext', { value: false });
          delete window.showDirectoryPicker;`,
    });
    await hands.reload();
    await hands.press('New job');
    await hands.reads('.masthead-job', 'New job');
    await (await hands.find('#job-name')).sendKeys(' here');
    await hands.saved();
    await hands.press('Copy New job here');
    await hands.reads('.masthead-job', 'New job here, copy');
    await hands.press('Keep it safe');
    await hands.reads('.kept', 'does not say whether');
    await hands.press('Hand over');
    await hands.reads('.kept', '--lan');
    await hands.closeDialog();
    await hands.driver.sleep(3500);
    // But for the answer that this server hands nothing over.
    expect((await hands.complaints()).filter((c) => !c.includes('/api/hand-over'))).toEqual([]);
  } finally {
    await hands.close();
    server.stop();
  }
});
