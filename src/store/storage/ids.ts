/** An id that no other job has. Also where the page was served without a certificate, which withholds `crypto.randomUUID`. */
export function freshId(): string {
  const digits = [...crypto.getRandomValues(new Uint8Array(8))].map((b) => b.toString(16).padStart(2, '0'));
  return `job-${digits.join('')}`;
}

/** This tab of the browser, so that it knows its own writing. */
export const TAB = freshId().replace('job', 'tab');
