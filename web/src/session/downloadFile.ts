const KEEP_ADDRESS_MS = 60_000;

/** Hands a file over as a download under a name. */
export function downloadFile(file: Blob, name: string): void {
  const address = URL.createObjectURL(file);
  const link = document.createElement("a");
  link.href = address;
  link.download = name;
  link.click();
  // The browser reads the file after this call returns, so its address is given up only later.
  setTimeout(() => URL.revokeObjectURL(address), KEEP_ADDRESS_MS);
}
