import { Button } from 'antd';
import type { ReactNode } from 'react';

/** What might be asked for, with its reason: it is asked for once the builder takes it. */
export function Proposal({
  take,
  onTake,
  children,
}: {
  take: string;
  onTake: () => void;
  children: ReactNode;
}) {
  return (
    <p className="proposal" data-part="proposal">
      <span>Nothing is asked for yet. {children}</span>
      <Button onClick={onTake}>{take}</Button>
    </p>
  );
}
