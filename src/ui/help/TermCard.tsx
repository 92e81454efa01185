import { TERMS, type TermName } from './terms';

/** What a word of the trade means, in two lines and a small drawing. */
export function TermCard({ of }: { of: TermName }) {
  const { lines, drawing } = TERMS[of];
  return (
    <div className="term-card">
      <svg viewBox="0 0 140 80" width="140" height="80" aria-hidden>
        {drawing}
      </svg>
      <p>
        {lines[0]}
        <br />
        {lines[1]}
      </p>
    </div>
  );
}
