import type { StripeState } from '@/core/job/stripes';
import './stripe.css';

/** The paint-pen mark by itself: none, whole, or broken where something has turned since. */
export function StripeMark({ kind, width = 68 }: { kind: StripeState['kind']; width?: number }) {
  const height = Math.round(width * 0.5);
  return (
    <svg className={`stripe-mark ${kind}`} width={width} height={height} viewBox="0 0 68 34" aria-hidden>
      {kind === 'none' && <path className="wanted" d="M6 28 L62 6" />}
      {kind === 'whole' && <path className="paint" d="M6 28 L62 6" />}
      {kind === 'broken' && (
        <>
          <path className="paint" d="M5 23 L30 13" />
          <path className="paint" d="M39 26 L63 16" />
          <path className="crack" d="M34 2 V33" />
        </>
      )}
    </svg>
  );
}

const SAYS: Record<StripeState['kind'], string> = {
  none: 'not checked',
  whole: 'checked',
  broken: 'changed since it was checked',
};

type Props = {
  stripe: StripeState;
  label: string;
  disabled?: boolean;
  onDraw: () => void;
  onWipe: () => void;
};

/** Draws the stripe across something the builder has verified, or wipes it off. */
export function StripeButton({ stripe, label, disabled = false, onDraw, onWipe }: Props) {
  const whole = stripe.kind === 'whole';
  const word = whole ? 'checked' : stripe.kind === 'broken' ? 'check again' : disabled ? 'not yet' : 'check';
  return (
    <button
      type="button"
      className="stripe-button"
      aria-pressed={whole}
      aria-label={`${word}: ${label}, ${SAYS[stripe.kind]}`}
      title={whole ? 'Wipe the stripe off' : disabled ? 'It does not hold yet' : 'Draw the stripe'}
      disabled={disabled && !whole}
      onClick={whole ? onWipe : onDraw}
    >
      <StripeMark kind={stripe.kind} />
      <span className="stripe-word">{word}</span>
    </button>
  );
}
