/** Hands a text file to the browser's own download. */
export const saveText = (name: string, type: string, text: string): void =>
  saveBlob(name, new Blob([text], { type: `${type};charset=utf-8` }));

/** Hands any file to the browser's own download. */
export function saveBlob(name: string, content: Blob): void {
  const url = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

export interface ChosenFile {
  name: string;
  bytes: Uint8Array;
}

/** Lets the user pick files; none when nothing was picked. What is in them is not read yet. */
export function pickFiles(accept: string, several: boolean): Promise<File[]> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.multiple = several;
    input.style.display = 'none';
    input.setAttribute('data-testid', 'file');
    input.addEventListener('change', () => {
      const files = [...(input.files ?? [])];
      input.remove();
      resolve(files);
    });
    input.addEventListener('cancel', () => {
      input.remove();
      resolve([]);
    });
    document.body.append(input);
    input.click();
  });
}

/** Lets the user choose files and gives their bytes; none when nothing was chosen. */
export async function chooseFiles(accept: string): Promise<ChosenFile[]> {
  const files = await pickFiles(accept, true);
  return Promise.all(files.map(async (file) => ({ name: file.name, bytes: new Uint8Array(await file.arrayBuffer()) })));
}
