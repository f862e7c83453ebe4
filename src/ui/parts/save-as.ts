/** How long the browser may take to write a file, ms. */
const WRITTEN = 10_000;

/** Lets the browser save a text as a file. */
export function saveAs(name: string, text: string, type = "text/plain"): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement("a");
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), WRITTEN);
}
