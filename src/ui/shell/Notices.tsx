'use client';
import { Button, notification } from 'antd';
import { useEffect } from 'react';
import { takeNotices, useNotices } from '@/store/notices';
import { freshId } from '@/store/storage/ids';

/** Shows what is to be said, in the corner where neither the card nor a dialog has its buttons. Loaded with the first notice. */
export function Notices() {
  const [api, corner] = notification.useNotification({ placement: 'bottomLeft' });
  const waiting = useNotices((s) => s.waiting);
  useEffect(() => {
    for (const { kind, stays, action, key = freshId(), ...words } of takeNotices()) {
      const close = () => api.destroy(key);
      const take = () => {
        action!.act();
        close();
      };
      api[kind]({
        ...words,
        key,
        ...(stays && { duration: 0 }),
        ...(action && { actions: <Button onClick={take}>{action.label}</Button> }),
      });
    }
  }, [api, waiting]);
  return corner;
}
