/** Hands text to the browser's downloads. */
export function downloadText(name: string, text: string): void {
  download(name, new Blob([text], { type: 'text/plain;charset=utf-8' }));
}

/** Hands bytes to the browser's downloads. */
export function download(name: string, content: Blob): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}
