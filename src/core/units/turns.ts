/** Turns of a tube to the nearest eighth, written as on the floor: `1 1/2 turns`, `1/4 turn`. */
export function sayTurns(turns: number): string {
  const eighths = Math.round(Math.abs(turns) * 8);
  if (eighths === 0) return 'less than 1/16 turn';
  const whole = Math.floor(eighths / 8);
  const rest = eighths % 8;
  const divisor = rest % 4 === 0 ? 4 : rest % 2 === 0 ? 2 : 1;
  const fraction = rest ? `${rest / divisor}/${8 / divisor}` : '';
  return `${[whole || '', fraction].filter(Boolean).join(' ')} ${eighths > 8 ? 'turns' : 'turn'}`;
}
