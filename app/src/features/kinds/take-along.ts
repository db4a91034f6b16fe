/** Hands a document to the browser as a file to keep; also without a connection. */
export function takeAlong(name: string, document: object): void {
  const url = URL.createObjectURL(
    new Blob([`${JSON.stringify(document, null, 2)}\n`], { type: 'application/json' }),
  );
  const link = window.document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}
