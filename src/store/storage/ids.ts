/** An id that no other job has. Also where the page was served without a certificate, which withholds `crypto.randomUUID`. */
export function freshId(): string {
  const digits = [...crypto.getRandomValues(new Uint8Array(8))].map((b) => b.toString(16).padStart(2, '0'));
  return `job-${digits.join('')}`;
}

/** This tab of the browser, so that it knows its own writing. */
export const TAB = freshId().replace('job', 'tab');

/** This place in the browser, which a reload leaves as it is: a reload is another tab at the same seat. */
export const SEAT = seat();

function seat(): string {
  try {
    const taken = sessionStorage.getItem('pellik-seat') ?? TAB;
    sessionStorage.setItem('pellik-seat', taken);
    return taken;
  } catch {
    return TAB;
  }
}
