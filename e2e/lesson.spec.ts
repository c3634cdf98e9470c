import { inflateSync } from 'node:zlib';
import { expect, test } from './app';

/** Widths and heights, mm, of the straight-sided areas that a PDF fills, read back from its bytes. */
function areas(pdf: Buffer): [number, number][] {
  const found: [number, number][] = [];
  for (let at = pdf.indexOf('stream'); at >= 0; at = pdf.indexOf('stream', at + 6)) {
    if (pdf.subarray(at - 3, at).toString() === 'end') continue;
    const start = at + (pdf[at + 6] === 13 ? 8 : 7);
    let text: string;
    try {
      text = inflateSync(pdf.subarray(start, pdf.indexOf('endstream', start))).toString('latin1');
    } catch {
      continue;
    }
    for (const [, path] of text.matchAll(/((?:[\d.-]+ [\d.-]+ [ml]\s+){4})h\s+f/g)) {
      const numbers = [...(path ?? '').matchAll(/([\d.-]+) ([\d.-]+) [ml]/g)];
      const side = (index: number) => {
        const values = numbers.map((each) => Number(each[index]));
        return ((Math.max(...values) - Math.min(...values)) * 25.4) / 72;
      };
      found.push([side(1), side(2)]);
    }
  }
  return found;
}

const close = (one: number, other: number) => Math.abs(one - other) < 0.1;

test('the order and the flow of a lesson are read, and one order over all of them', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/plan/8`);
  await page.getByRole('link', { name: 'Produce' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText("Produce: The captain's table");
  await expect(page.getByRole('region', { name: 'To order' })).toContainText('50 carrots');
  const flow = page.getByRole('img', { name: /^Where the carrot goes/ });
  await expect(flow).toHaveAccessibleName(/from Julienne to Brunoise|from julienne to brunoise/i);
  await expect(flow).toContainText('Stock');
  const needs = page.getByRole('region', { name: 'What each exercise takes' });
  await expect(needs).toContainText('Fed by what is good of julienne of carrot');
  await page.locator('input[aria-label="What becomes of the carrot"]').click();
  await page.getByRole('option', { name: 'taken home' }).click();
  await expect(flow).toContainText('Taken home');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('button', { name: 'Keep it' })).toBeHidden();
  await page.reload();
  await expect(flow).toContainText('Taken home');
  await page.getByText('All lessons, by delivery').click();
  await expect(page.getByRole('region', { name: 'Comes Mon 12 Oct' })).toContainText('50 courgettes');
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'As a table' }).click();
  expect((await download).suggestedFilename()).toBe('order.csv');
});

test('good pieces that are wanted take more food, and a figure out of range is told', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/plan/8/produce`);
  const needs = page.getByRole('region', { name: 'What each exercise takes' });
  const wanted = needs.getByLabel('Good pieces wanted of each').nth(1);
  await wanted.fill('120');
  await expect(needs).toContainText('For 120 good ones who cuts as the class does cuts');
  await expect(page.getByRole('region', { name: 'To order' })).not.toContainText('50 carrots');
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('region', { name: 'To order' })).toContainText('50 carrots');
});

test('station cards are made as PDF, and their true sizes are read back from it', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/plan/5`);
  await page.getByRole('link', { name: 'On paper' }).click();
  await page.getByText('Station cards', { exact: true }).click();
  await expect(page.getByRole('group', { name: 'Julienne of carrot' })).toBeVisible();
  await expect(
    page.getByRole('img', { name: 'A bar of exactly 50 mm, to check the printer by' }),
  ).toHaveCount(2);
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'As PDF' }).click();
  const chunks: Buffer[] = [];
  for await (const chunk of await (await download).createReadStream()) chunks.push(chunk as Buffer);
  const found = areas(Buffer.concat(chunks));
  const has = (width: number, height: number) => found.some(([w, h]) => close(w, width) && close(h, height));
  expect(has(50, 2.4)).toBe(true);
  expect(has(6.35, 6.35) && has(50, 6.35)).toBe(true);
  expect(has(3.175, 3.175) && has(50, 3.175)).toBe(true);
});

test('Ready names what stands in the way, and a button mends the time', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/plan/5`);
  await page.getByRole('link', { name: 'Ready?' }).click();
  const list = page.getByRole('list').filter({ hasText: 'first-aid box' });
  await expect(list).toContainText('Runs 8 min over, in Clean-down.');
  await list.getByRole('button', { name: 'Take 8 min from Practice 2' }).click();
  await expect(list).not.toContainText('min over');
  await list.getByRole('link', { name: 'Open the check sheet' }).click();
  await expect(page).toHaveURL(/rack\/5\?view=check/);
});
