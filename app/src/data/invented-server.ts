/** A write as the outbox sends it. */
export interface Sent {
  path: string;
  body: { baseVersion: number; writeId: string; deleted: boolean; rodMm?: number };
}
interface Said {
  status: number;
  body: unknown;
  headers?: Record<string, string>;
}

/** Has every request answered as told, for tests: as the server answers where no headers are given, not at all for null. */
export function answerWith(answer: (sent: Sent) => Said | null): void {
  AbortSignal.timeout ??= () => new AbortController().signal;
  const asked = async (path: string, init: { body: string }) => {
    const one: Sent = { path, body: JSON.parse(init.body) };
    const said = answer(one);
    if (!said) throw new TypeError('no network');
    const receipt = `${one.body.writeId} ${one.body.baseVersion + 1}`;
    const headers = new Headers(said.headers ?? { 'x-maquette-api': '1', 'x-maquette-receipt': receipt });
    return { ok: said.status < 300, status: said.status, headers, json: async () => said.body };
  };
  Object.assign(globalThis, { fetch: asked });
}
