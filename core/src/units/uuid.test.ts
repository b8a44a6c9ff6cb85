import { uuidV7 } from './index.ts';

// RFC 9562, appendix A.6: time 0x017F22E279B0, rand_a 0xCC3, rand_b 0x18C4DC0C0C07398F.
test('the layout is that of the RFC’s example', () => {
  const random = Uint8Array.from([0xcc, 0x31, 0x88, 0xc4, 0xdc, 0x0c, 0x0c, 0x07, 0x39, 0x8f]);
  const id = uuidV7(0x017f22e279b0, random);
  expect(id).toMatch(/^017f22e2-79b0-7cc3-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
});

test('ids sort by the time they were made', () => {
  const random = new Uint8Array(10).fill(255);
  expect(uuidV7(1000, random) < uuidV7(1001, new Uint8Array(10))).toBe(true);
});
