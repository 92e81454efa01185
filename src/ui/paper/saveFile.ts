import { saveAs } from 'file-saver';

/** Hands a text to the browser as a file to save. */
export const saveText = (name: string, text: string, type = 'application/json'): void =>
  saveBlob(name, new Blob([text], { type }));

export const saveBlob = (name: string, blob: Blob): void => saveAs(blob, name);
