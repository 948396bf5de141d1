/** Large files are still being read a while after they were asked for. */
const READ_MS = 10_000;

/** Hands something made here to the person as a file under a name. */
export function saveFile(name: string, file: Blob): void {
  const url = URL.createObjectURL(file);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => {
    URL.revokeObjectURL(url);
  }, READ_MS);
}
