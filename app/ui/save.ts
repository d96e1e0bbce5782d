/** Give a text, or what was fetched, to the person as a file. */
export function save(name: string, type: string, what: string | Blob): void {
  const blob = typeof what === 'string' ? new Blob([what], { type: `${type};charset=utf-8` }) : what;
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
