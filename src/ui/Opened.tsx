'use client';
import { Suspense, useState, type ReactNode } from 'react';

/** What is loaded when it is first opened, and then stays, so that it closes as it should. */
export function Opened({ open, children }: { open: boolean; children: ReactNode }) {
  const [once, setOnce] = useState(open);
  if (open && !once) setOnce(true);
  return <Suspense>{once && children}</Suspense>;
}
