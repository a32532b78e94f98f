/** Hands a file to the browser to be kept. */
export function keepFile(content: BlobPart, { name, type }: { name: string; type: string }): void {
  const address = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  // The browser takes the file up in its own time.
  setTimeout(() => URL.revokeObjectURL(address), 60_000);
}

/** A file's name from words: small letters, digits and hyphens. */
export function fileName(words: string, extension: string): string {
  return `${words
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')}.${extension}`;
}

/** Opens the browser's dialog for one file; null when nothing was chosen. */
export function chooseFile(accept: string): Promise<File | null> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.onchange = () => resolve(input.files?.[0] ?? null);
    input.oncancel = () => resolve(null);
    input.click();
  });
}
