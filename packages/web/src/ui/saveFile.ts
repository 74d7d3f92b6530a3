/** Lets the browser save something as a file. */
export function saveFile(name: string, content: Blob): void {
  const url = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
export const saveText = (name: string, text: string, type: string): void =>
  saveFile(name, new Blob([text], { type: `${type};charset=utf-8` }));
