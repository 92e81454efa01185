type Props<T extends string> = {
  legend: string;
  name: string;
  /** title and what it costs, by choice */
  options: Record<T, [title: string, cost: string]>;
  value: T;
  onPick: (v: T) => void;
};

/** Two schools side by side, what each gives up, and which one is set. */
export function Pick<T extends string>({ legend, name, options, value, onPick }: Props<T>) {
  return (
    <section className="section">
      <h2 id={`${name}-title`}>{legend}</h2>
      <div className="choice" role="radiogroup" aria-labelledby={`${name}-title`}>
        {(Object.entries(options) as [T, [string, string]][]).map(([key, [title, cost]]) => (
          <label key={key}>
            <input type="radio" name={name} checked={value === key} onChange={() => onPick(key)} />
            <span>
              <b>{title}</b>
              <span className="hint">{cost}</span>
            </span>
          </label>
        ))}
      </div>
    </section>
  );
}
