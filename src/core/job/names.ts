/** The most that a job file takes of a name, as text is counted in it. */
export const LONGEST_NAME = 120;

/** A job's name with something said after it. What would be too long is cut, between two letters and never through one. */
export function nameWith(name: string, after: string): string {
  let cut = '';
  for (const letter of name) {
    if (cut.length + letter.length + after.length > LONGEST_NAME) break;
    cut += letter;
  }
  return cut + after;
}
