import { checkBundle } from './check-bundle.ts';

/* The page that checks a bundle: it asks for the file and for the seal that came apart from it, and sends nothing anywhere. */

const byId = <T extends HTMLElement>(id: string) => document.getElementById(id) as T;
const says = byId('says');

function tell(isGood: boolean, head: string, lines: readonly string[]): void {
  says.replaceChildren();
  const title = document.createElement('h2');
  title.textContent = head;
  title.className = isGood ? 'good' : 'bad';
  const list = document.createElement('ul');
  for (const line of lines) {
    const item = document.createElement('li');
    item.textContent = line;
    list.append(item);
  }
  says.append(title, list);
}

byId<HTMLFormElement>('ask').addEventListener('submit', (event) => {
  event.preventDefault();
  const file = byId<HTMLInputElement>('bundle').files?.[0];
  const seal = byId<HTMLInputElement>('seal').value.trim().toLowerCase();
  if (!file) return tell(false, 'Choose the bundle first.', []);
  if (!/^[0-9a-f]{64}$/.test(seal))
    return tell(false, 'The seal takes 64 of the letters a to f and digits, as in the message you received.', []);
  says.textContent = 'Looking through it …';
  void file
    .arrayBuffer()
    .then((buffer) => checkBundle(new Uint8Array(buffer), seal))
    .then((found) => {
      if (found.faults.length > 0) return tell(false, 'NOT AS IT WAS SEALED', found.faults);
      tell(true, 'AS IT WAS SEALED', [
        `${found.files} files, ${found.facts} facts`,
        found.isSigned === null
          ? 'Its signature was not looked at: this browser does not know the curve. openssl does.'
          : 'Signed by the key in SEAL.pub',
        ...(found.isRepacked
          ? ['Its files are as they were; the ZIP around them was packed anew by something else.']
          : []),
        `Last digest of the chain, as on page 1 of the report: ${found.chain}`,
      ]);
    })
    .catch((error: unknown) => tell(false, 'NOT AS IT WAS SEALED', [`it cannot be read: ${(error as Error).message}`]));
});
