import type { PrintJob } from './printing';
import { Printer, type Drawer } from './printer';

const job = (skip: number): PrintJob => ({ as: 'svg', sheet: 'a4-3x8', labels: [], skip, page: 0 });

const printing = (draw: Drawer['draw']) => new Printer({ draw, ready() {} });

test('the same sheet again is not drawn again; of many the last are kept', async () => {
  const drawn: number[] = [];
  const printer = printing(async ({ skip }) => {
    drawn.push(skip);
    return new Uint8Array([skip]);
  });
  const [once, twice] = await Promise.all([printer.print(job(1)), printer.print(job(1))]);
  expect([once, twice]).toEqual([new Uint8Array([1]), new Uint8Array([1])]);
  for (const skip of [2, 3, 4, 5, 1]) await printer.print(job(skip));
  expect(drawn).toEqual([1, 2, 3, 4, 5, 1]);
});

test('one is drawn after the other, and what went wrong is tried anew', async () => {
  let busy = 0;
  let fail = true;
  const printer = printing(async ({ skip }) => {
    busy++;
    expect(busy).toBe(1);
    await new Promise((r) => setTimeout(r, 5));
    busy--;
    if (skip === 2 && fail) throw new Error('out of paper');
    return new Uint8Array([skip]);
  });
  const all = [1, 2, 3].map((skip) => printer.print(job(skip)));
  await expect(all[1]).rejects.toThrow('out of paper');
  expect(await Promise.all([all[0], all[2]])).toHaveLength(2);
  fail = false;
  expect(await printer.print(job(2))).toEqual(new Uint8Array([2]));
});
