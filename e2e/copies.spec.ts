import AxeBuilder from '@axe-core/playwright';
import { expect, test } from './app';

test('a copy of the school is made and checked, and how many are kept is said', async ({ app, page }) => {
  await page.goto(`${app.url}/courses/1/about`);
  const copies = page.getByRole('region', { name: 'Copies of the school' });
  await expect(copies.getByRole('status')).toContainText('was made and checked less than an hour ago');
  const rows = copies.getByRole('row');
  const before = await rows.count();
  // Copies are named by the second.
  await page.waitForTimeout(1100);
  await copies.getByRole('button', { name: 'Make a copy now' }).click();
  // Of one day the newest is kept.
  await expect(rows).toHaveCount(before);
  await copies.getByLabel('Days').fill('61');
  await copies.getByRole('button', { name: 'Keep so many' }).click();
  await expect(copies.getByRole('alert')).toContainText('1 to 60');
  await copies.getByLabel('Days').fill('14');
  await copies.getByRole('button', { name: 'Keep so many' }).click();
  await expect(copies.getByRole('alert')).toBeHidden();
  await page.reload();
  await expect(copies.getByLabel('Days')).toHaveValue('14');
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
});
