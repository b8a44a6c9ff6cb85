/** SHA-256 of what a file holds; null where the page did not come over a secure connection, which cannot work it out. */
export async function sha256Of(bytes: BufferSource): Promise<string | null> {
  if (!globalThis.crypto?.subtle) return null;
  const digest = await crypto.subtle.digest('SHA-256', bytes);
  return Array.from(new Uint8Array(digest), (byte) => byte.toString(16).padStart(2, '0')).join('');
}
