import { expect, test } from './app';

test('every student is seen at a glance, with the reason for each notch', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/yard`);
  await expect(page.getByRole('row')).toHaveCount(15);
  await page.getByRole('button', { name: 'Maren Oake' }).click();
  const dock = page.getByRole('complementary');
  await expect(dock).toContainText('Next: Safe first: slice');
  await expect(dock).toContainText('closed by a Stop fault on 29 Sep');
  await expect(page).toHaveURL(/student=4/);
  await dock.getByRole('tab', { name: 'Julienne' }).click();
  await expect(dock).toContainText(/Safe, cut \d+ Sep/);
  await expect(dock).toContainText(/Paced|Held/);
});

test('a longer blade is cleared from the evidence, and Class then hands it out', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/yard?student=13`);
  const dock = page.getByRole('complementary');
  await expect(dock).toContainText('Longer blade: up to 180 mm');
  await dock.getByRole('button', { name: 'Clear to 180 mm' }).click();
  await expect(dock).toContainText('cleared to 180 mm');
  await page.goto(`${app.url}/courses/1/class/5?student=13`);
  await page.getByLabel('Knife in hand').first().click();
  await expect(page.getByRole('option', { name: /165|180/ }).first()).toBeVisible();
});

test('/ finds a student, and the keys go from place to place', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/rack`);
  await expect(page.getByRole('heading', { name: 'The rack' })).toBeVisible();
  await page.keyboard.press('/');
  const box = page.getByRole('combobox', { name: 'Find or do' });
  await box.pressSequentially('noor');
  // The first letter typed on a page too.
  await expect(box).toHaveValue('noor');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('complementary', { name: 'Student Noor Hale' })).toBeVisible();
  await page.keyboard.press('c');
  await expect(page).toHaveURL(/class\/5/);
  await page.keyboard.press('p');
  await expect(page).toHaveURL(/plan\/5/);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
});

test('lengths are shown in inches as kitchen fractions', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/plan/5`);
  await page.getByRole('button', { name: 'mm: show lengths in inches' }).click();
  await expect(page.getByRole('region', { name: 'Julienne of carrot' })).toContainText('1/8 × 1/8 × 2 in');
  // The reasons too, every length of them.
  const dock = page.getByRole('complementary');
  await expect(dock).toContainText(/in clears a .* in cut with .* in of travel, less 1 in for the pinch/);
  await expect(dock).not.toContainText(' mm');
});
