import { expect, test } from './app';

const NAMES = [
  'Name\tHand\tAllergies',
  'Una Vale\tleft\t',
  'Pell Quist\tright\tcelery',
  'Odo Marsh\tright\t',
  'Ina Bright\tleft\tnuts',
  'Juno Pike\tright\t',
  'Maren Oake\tright\t',
].join('\n');

test('from an empty folder to a printed first lesson, counted and timed', async ({ empty: app, page }) => {
  let actions = 0;
  const act = async (what: Promise<unknown>) => {
    actions += 1;
    await what;
  };
  const start = Date.now();
  await act(page.goto(app.url));
  await act(page.getByRole('button', { name: /Eight lessons for trainees/ }).click());
  await act(page.getByRole('textbox', { name: 'Names' }).fill(NAMES));
  await act(page.getByRole('textbox', { name: 'Knives' }).fill("6 chef's 200, 4 paring 90, 1 bread"));
  await expect(page.getByText('6 students', { exact: true })).toBeVisible();
  await act(page.getByRole('button', { name: 'Draft the lessons for 6 students' }).click());
  await expect(page.getByText(/^Coins of/).first()).toBeVisible();
  await page.evaluate(() => {
    window.print = () => document.body.setAttribute('data-printed', 'yes');
  });
  await act(page.getByRole('button', { name: 'Print' }).click());
  await expect(page.locator('body')).toHaveAttribute('data-printed', 'yes');
  const seconds = (Date.now() - start) / 1000;
  test.info().annotations.push({
    type: 'from nothing to print',
    description: `${actions} actions, ${seconds.toFixed(1)} s`,
  });
  expect(actions).toBeLessThanOrEqual(15);
  expect(seconds).toBeLessThan(60);
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
  // In print a page has the width of its paper: 210 mm.
  await page.emulateMedia({ media: 'print' });
  const width = (await page.getByRole('group', { name: /.+/ }).first().boundingBox())?.width ?? 0;
  expect(Math.abs((width * 25.4) / 96 - 210)).toBeLessThan(1);
  await expect(page.getByText('Una Vale, left hand')).toBeVisible();
  await expect(page.getByText('Pell Quist, no celery')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
});

test('who does not know the knives yet plans on types; bad lines are told', async ({ empty: app, page }) => {
  await page.goto(app.url);
  await page.getByRole('button', { name: /Six short lessons for children/ }).click();
  await page.getByRole('textbox', { name: 'Names' }).fill('Una Vale\nleft');
  await expect(page.getByText('one line to mend')).toBeVisible();
  await expect(page.getByRole('button', { name: /Draft the lessons/ })).toBeDisabled();
  await page.getByRole('textbox', { name: 'Names' }).fill('Una Vale, left');
  await page.getByRole('checkbox', { name: 'I do not know my knives yet' }).check();
  await page.getByRole('button', { name: 'Draft the lessons for 1 student' }).click();
  await page.getByRole('link', { name: 'The whole course' }).click();
  await expect(page.getByText('planned on one knife of each type')).toBeVisible();
});

test('days without a session are tapped, and newcomers hold what the instructor answers for', async ({
  empty: app,
  page,
}) => {
  await page.goto(app.url);
  await page.getByRole('button', { name: /Six short lessons for children/ }).click();
  await page.getByLabel('First session').fill('2026-12-12');
  const days = page.getByRole('group', { name: 'Sessions' });
  await expect(days.getByRole('button')).toHaveText([
    'Sat 12 Dec',
    'Sat 19 Dec',
    'Sat 26 Dec',
    'Sat 2 Jan',
    'Sat 9 Jan',
    'Sat 16 Jan',
  ]);
  await days.getByRole('button', { name: 'Sat 26 Dec' }).click();
  await days.getByRole('button', { name: 'Sat 2 Jan' }).click();
  await expect(days.getByRole('button', { name: 'Sat 30 Jan' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Names' }).fill('Una Vale, left');
  const newcomers = page.getByLabel(/^Newcomers hold blades up to/);
  await newcomers.fill('20');
  await page.getByRole('button', { name: /Draft the lessons/ }).click();
  await expect(page.getByText('Blade clearance: 20 mm is out of range').first()).toBeVisible();
  await newcomers.fill('100');
  await page.getByRole('button', { name: /Draft the lessons/ }).click();
  await page.getByRole('link', { name: 'The whole course' }).click();
  await expect(page.locator('[data-session] > a')).toHaveText([
    '1 Sat 12 Dec',
    '2 Sat 19 Dec',
    '3 Sat 9 Jan',
    '4 Sat 16 Jan',
    '5 Sat 23 Jan',
    '6 Sat 30 Jan',
  ]);
  const { students } = (await (await fetch(`${app.url}/api/courses/1`)).json()) as {
    students: { clearance: number }[];
  };
  expect(students.map(({ clearance }) => clearance)).toEqual([100]);
});

test('the made-up school is looked at beside the own one, and left with one key', async ({
  empty: app,
  page,
}) => {
  await page.goto(app.url);
  await page.getByRole('button', { name: /One evening for adults/ }).click();
  await page.getByRole('button', { name: 'Draft the lessons' }).click();
  await expect(page.getByText(/^Coins of/).first()).toBeVisible();
  await page.goto(`${app.url}/start`);
  await page.getByRole('button', { name: 'Look at the made-up school' }).click();
  await expect(page.getByRole('heading', { name: 'Where everyone stands' })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText('Galley hands, autumn watch')).toBeVisible();
  await page.keyboard.press('x');
  await expect(page.getByText('An evening of knife skills')).toBeVisible();
  await expect(page.getByText('Galley hands, autumn watch')).toBeHidden();
});
