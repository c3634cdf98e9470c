import { expect, test } from './app';

test('julienne of a carrot: squared against flat first, with the difference in a sentence, pinned to a lesson', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/bench`);
  await expect(page.getByRole('region', { name: 'Squared, as for an exam' })).toContainText('77');
  await expect(page.getByRole('region', { name: 'Flat first, as in a kitchen' })).toContainText('102');
  await expect(page.getByText('Flat first gives 25 more pieces and takes 34 more strokes')).toBeVisible();
  await page.getByLabel('Good pieces for each student').fill('60');
  await expect(page.getByRole('complementary')).toContainText('Each student cuts 81');
  await expect(page).toHaveURL(/good=60/);
  await page.getByRole('link', { name: 'Pin to lesson 5' }).click();
  const editor = page.getByRole('region', { name: 'New exercise' });
  await expect(editor.getByLabel('Each student cuts')).toHaveValue('81');
  await editor.getByRole('button', { name: 'Add to the lesson' }).click();
  await expect(page.getByRole('region', { name: 'Julienne of carrot' })).toHaveCount(2);
});

test('a blade that leans 5° scatters the widths', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/bench`);
  const errors = page.getByRole('region', { name: 'The first cut decides' });
  await expect(errors).toContainText('100 % of the pieces have all three sides inside');
  await page.getByLabel('The blade leans').fill('5');
  await expect(errors).toContainText('0.14 mm');
  await page.getByLabel('Planks too thick by').fill('1.5');
  await expect(errors).toContainText('The first cut decides: a plank that is off is in each of the');
});

test('the aim depth is dragged and the figures follow; the best small dice is chosen in 20 strokes', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/bench?view=onion&method=below`);
  const cells = page.getByRole('img', { name: /cells$/ });
  await expect(cells).toBeVisible();
  const wanted = page.getByRole('term').filter({ hasText: 'of the wanted size' }).locator('..');
  const before = await wanted.textContent();
  await page.getByRole('slider', { name: 'Aim below the board' }).fill('1.5');
  await expect(wanted).not.toHaveText(before ?? '');
  await expect(page).toHaveURL(/depth=1.5/);
  await page.getByLabel('Most strokes for a half').fill('20');
  const ways = page.getByRole('table', { name: 'Ways compared' });
  await expect(page.getByText(/in (\d|1\d|20) strokes/)).toBeVisible();
  await expect(ways).not.toContainText('With level cuts');
  await page.getByLabel('Level cuts allowed').click();
  await page.getByLabel('Most strokes for a half').fill('');
  await expect(ways).toContainText('With level cuts');
  await ways.getByRole('button', { name: 'Look at verticals' }).click();
  await expect(page).toHaveURL(/method=verticals/);
});

test('an onion of 60 layers is refused at its field', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/bench?view=onion`);
  await page.getByLabel('Layers').fill('60');
  await expect(page.getByText('60 layers are out of range; allowed: 1 to 40.').first()).toBeVisible();
});
