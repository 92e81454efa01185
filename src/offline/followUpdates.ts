import { say } from '@/store/notices';
import { settle } from '@/store/storage/autosave';

/** How often a page that stays open asks whether there is a newer Pellik, ms. */
const EVERY = 60 * 60 * 1000;

/**
 * Has the browser keep all of Pellik, so that it works without the network; a newer one is announced, and taken when the builder
 * says. Where the address is not a safe one for the browser, it keeps nothing.
 */
export async function followUpdates(): Promise<void> {
  const worker = await installer();
  if (!worker) return;
  let asked = false;
  worker.addEventListener('waiting', () =>
    say({
      kind: 'info',
      key: 'newer',
      stays: true,
      title: 'A newer Pellik is ready.',
      description: 'This page goes on as it is until you take it. What is typed stays.',
      action: {
        label: 'Take it now',
        act: () => {
          asked = true;
          void settle().then(() => worker.messageSkipWaiting());
        },
      },
    }),
  );
  worker.addEventListener('controlling', ({ isUpdate }) => {
    if (!isUpdate) return;
    if (asked) window.location.reload();
    else
      say({
        kind: 'info',
        key: 'newer',
        stays: true,
        title: 'Another tab has taken a newer Pellik.',
        description: 'Reload this one when it suits you; what is typed stays.',
        action: { label: 'Reload', act: () => void settle().then(() => window.location.reload()) },
      });
  });
  try {
    await worker.register();
  } catch {
    // Not built for it, or not allowed: Pellik works as it did, with its server.
    return;
  }
  setInterval(() => void worker.update().catch(() => {}), EVERY);
}

/** What installs it; null over an address that is not safe, where the browser withholds what that needs. */
async function installer() {
  const { Serwist } = await import('@serwist/window');
  try {
    return new Serwist('/sw.js', { updateViaCache: 'none' });
  } catch {
    return null;
  }
}
