import sharp from 'sharp';

/** Three of them stand beside one another: as fine as a printer shows them, and a report of thirty can still be sent by mail. */
const WIDE_PX = 520;
const HIGH_PX = 390;
const QUALITY = 72;

/**
 * Photographs as a report shows them: smaller, by the digests of the pictures themselves, which stay whole beside it in the bundle.
 * One that cannot be read is told as not held. The same pictures make the same bytes.
 */
export async function smallPictures(
  digests: Iterable<string>,
  pictureOf: (sha256: string) => Buffer | null,
): Promise<(sha256: string) => Buffer | null> {
  const small = new Map<string, Buffer>();
  for (const sha256 of digests) {
    const whole = pictureOf(sha256);
    if (!whole || small.has(sha256)) continue;
    try {
      const options = { fit: 'inside', withoutEnlargement: true } as const;
      small.set(sha256, await sharp(whole).resize(WIDE_PX, HIGH_PX, options).jpeg({ quality: QUALITY }).toBuffer());
    } catch {
      // No picture: the place it would stand in says which it was.
    }
  }
  return (sha256) => small.get(sha256) ?? null;
}
