import sharp from 'sharp';
import { isBareJpeg } from './bare-jpeg.ts';
import { makePicture } from './pictures.ts';

const plain = () => sharp({ create: { width: 300, height: 200, channels: 3, background: '#1d6e78' } });
const jpeg = (options: object = {}) => plain().jpeg(options).toBuffer();

test('a picture that is nothing but drawn stays byte for byte, so that it keeps its digest', async () => {
  for (const content of [await jpeg(), await jpeg({ progressive: true }), await jpeg({ quality: 20 })]) {
    expect(isBareJpeg(content)).toBe(true);
    const made = await makePicture(content);
    expect('words' in made ? made.words : made.data.equals(content)).toBe(true);
  }
});

test('what says more than its picture is drawn anew: where it was taken, words, what hangs behind its end', async () => {
  const told = await plain()
    .withExif({ IFD0: { Copyright: 'keeper of the lock' } })
    .jpeg()
    .toBuffer();
  expect(told.toString('latin1')).toContain('keeper of the lock');
  const content = await jpeg();
  const comment = Buffer.concat([
    content.subarray(0, 2),
    Buffer.from([0xff, 0xfe, 0, 8]),
    Buffer.from('secret'),
    content.subarray(2),
  ]);
  const behind = Buffer.concat([content, Buffer.from('secret'), Buffer.from([0xff, 0xd9])]);
  for (const one of [told, comment, behind]) {
    expect(isBareJpeg(one)).toBe(false);
    const made = await makePicture(one);
    expect('words' in made ? '' : made.data.toString('latin1')).not.toMatch(/secret|keeper/);
  }
  // Whatever is cut short is none.
  for (let k = 0; k < content.length; k += 7) expect(isBareJpeg(content.subarray(0, k))).toBe(false);
});
