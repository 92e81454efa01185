import type { Driver } from 'selenium-webdriver/chrome';
import { hands } from './bench';

/** Does something with the page's own database, past the application. `body` has `db`, and gives back a request. */
function inDatabase<T>(body: string): Promise<T> {
  return hands.driver.executeAsyncScript<T>(`
    const done = arguments[arguments.length - 1];
    const opening = indexedDB.open('pellik');
    opening.onsuccess = () => {
      const db = opening.result;
      const request = (() => { ${body} })();
      request.transaction.oncomplete = () => { db.close(); done(request.result); };
      request.transaction.onabort = () => { db.close(); done('aborted'); };
    };
    opening.onerror = () => done(String(opening.error));
  `);
}

/** Spoils a stored job, and tells nobody. */
export const spoil = (id: string, change: string): Promise<unknown> =>
  inDatabase(`
    const jobs = db.transaction('jobs', 'readwrite').objectStore('jobs');
    const got = jobs.get(${JSON.stringify(id)});
    got.onsuccess = () => { const row = got.result; ${change}; jobs.put(row); };
    return got;
  `);

export const storedJob = (id: string): Promise<{ job: { name: string; notes: string } } | undefined> =>
  inDatabase(`return db.transaction('jobs').objectStore('jobs').get(${JSON.stringify(id)});`);

/** Runs before every page from now on. @returns what takes it away again */
export async function beforeEachPage(source: string): Promise<() => Promise<void>> {
  const driver = hands.driver as Driver;
  const { identifier } = (await driver.sendAndGetDevToolsCommand('Page.addScriptToEvaluateOnNewDocument', {
    source,
  })) as unknown as { identifier: string };
  return () => driver.sendDevToolsCommand('Page.removeScriptToEvaluateOnNewDocument', { identifier });
}

/** From now on there is no room for jobs on the disk of this page. */
export const fillDisk = (): Promise<unknown> =>
  hands.driver.executeScript(`
    window.realPut = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (...all) {
      if (this.name === 'jobs') throw new DOMException('no', 'QuotaExceededError');
      return window.realPut.apply(this, all);
    };`);

export const freeDisk = (): Promise<unknown> =>
  hands.driver.executeScript('IDBObjectStore.prototype.put = window.realPut');
