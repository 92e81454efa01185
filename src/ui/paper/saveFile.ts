/** Hands a text to the browser as a file to save. */
export const saveText = (name: string, text: string, type = 'application/json'): void =>
  saveBlob(name, new Blob([text], { type }));

export const saveBlob = (name: string, blob: Blob): void =>
  void import('file-saver').then(({ saveAs }) => saveAs(blob, name));
