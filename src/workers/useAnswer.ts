import { useEffect, useEffectEvent, useState } from 'react';
import type { Outcome } from './outcome';

/**
 * What a worker answers to a question, or in words why it does not; null until it has answered this one. An answer that comes after
 * something else was asked is dropped; the last answer to the same question stays until there is a newer one.
 *
 * @param question what is asked, as text: alike for questions alike
 * @param of what the answer is worked out of: asked anew when it changes
 * @param ask asks it
 */
export function useAnswer<T>(
  question: string,
  of: unknown,
  ask: () => Promise<Outcome<T>>,
): T | string | null {
  const [said, setSaid] = useState<{ to: string; answer: T | string } | null>(null);
  const asked = useEffectEvent(ask);
  useEffect(() => {
    let over = false;
    void asked().then((outcome) => {
      if (!over) setSaid({ to: question, answer: outcome.ok ? outcome.result : outcome.message });
    });
    return () => {
      over = true;
    };
  }, [question, of]);
  return said?.to === question ? said.answer : null;
}
