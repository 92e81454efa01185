/** Hands a text to the browser as a file to save. */
export const saveText = (name: string, text: string, type = 'application/json'): void =>
  saveBlob(name, new Blob([text], { type }));

export function saveBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser has the blob once the click has been handled.
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}
