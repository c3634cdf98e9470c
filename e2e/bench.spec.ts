import { expect, pick, test } from './app';

test('julienne of a carrot: squared against flat first, with the difference in a sentence, pinned to a lesson', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/courses/1/bench`);
  await expect(page.getByRole('region', { name: 'Squared, as for an exam' })).toContainText('62');
  await expect(page.getByRole('region', { name: 'Flat first, as in a kitchen' })).toContainText('75');
  await expect(page.getByText('Flat first gives 13 more pieces and takes 22 more strokes')).toBeVisible();
  await page.getByLabel('Good pieces for each student').fill('60');
  await expect(page.getByRole('complementary')).toContainText('Each student cuts 81');
  await expect(page).toHaveURL(/good=60/);
  await page.getByRole('link', { name: 'Pin to lesson 5' }).click();
  const editor = page.getByRole('region', { name: 'New exercise' });
  await expect(editor.getByLabel('Each student cuts')).toHaveValue('81');
  await editor.getByRole('button', { name: 'Add to the lesson' }).click();
  const pinned = page.getByRole('region', { name: 'Julienne of carrot' });
  await expect(pinned).toHaveCount(2);
  // 81 pieces from 62 a carrot: two carrots each, with their minutes and what to buy.
  await expect(pinned.last()).toContainText(/min each\d+/);
  await expect(pinned.last()).toContainText('2 each · 28 for students');
});

test('a size and a way that were tried are pinned, and changed in Plan', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/bench?t=5&w=5&way=flat_first&produce=large`);
  await expect(page.getByRole('heading', { name: 'Julienne of carrot', exact: true })).toBeVisible();
  const flat = page.getByRole('region', { name: 'Flat first, as in a kitchen' });
  const pieces = await flat
    .getByRole('term')
    .filter({ hasText: /^pieces$/ })
    .locator('..')
    .locator('dd')
    .innerText();
  await page.getByRole('link', { name: 'Pin to lesson 5' }).click();
  const editor = page.getByRole('region', { name: 'New exercise' });
  await expect(editor).toContainText('Made another way: its own size · flat first · large produce');
  await expect(editor.getByRole('heading', { name: /Julienne of carrot/ })).toContainText('5 × 5 × 50 mm');
  await expect(editor.getByRole('term').filter({ hasText: 'pieces a carrot' }).locator('..')).toContainText(
    pieces,
  );
  await editor.getByLabel('Width, mm').fill('0.1');
  await expect(editor.getByText(/Width: 0.1 mm is out of range/).first()).toBeVisible();
  await editor.getByLabel('Width, mm').fill('six');
  await expect(editor.getByText('“six” is no length: write 3.2')).toBeVisible();
  await editor.getByLabel('Width, mm').fill('6');
  await editor.getByText('squared', { exact: true }).click();
  await expect(editor.getByRole('heading', { name: /Julienne of carrot/ })).toContainText('5 × 6 × 50 mm');
  await editor.getByRole('button', { name: 'Add to the lesson' }).click();
  const pinned = page.getByRole('region', { name: 'Julienne of carrot' }).last();
  await expect(pinned).toContainText('5 × 6 × 50 mm');
  await expect(pinned).toContainText('Made another way: its own size · large produce');
  // Changing it starts from what is kept; a field that is emptied goes back to the course's size.
  await pinned.getByRole('button', { name: 'Change' }).click();
  const change = page.getByRole('region', { name: 'Change the exercise' });
  await expect(change.getByLabel('Thickness, mm')).toHaveValue('5');
  await change.getByLabel('Thickness, mm').fill('');
  await expect(change.getByRole('heading', { name: /Julienne of carrot/ })).toContainText('3.2 × 6 × 50 mm');
});

test('a blade that leans 5° scatters the widths', async ({ page, shown }) => {
  await page.goto(`${shown.url}/courses/1/bench`);
  const errors = page.getByRole('region', { name: 'The first cut decides' });
  await expect(errors).toContainText('100 % of the pieces have all three sides inside');
  await page.getByLabel('The blade leans').fill('5');
  await expect(errors).toContainText('0.14 mm');
  await page.getByLabel('First plank too thick by').fill('1.5');
  await expect(errors).toContainText('The first cut decides: a plank that is off is in each of the');
});

test('the aim depth is dragged and the figures follow; the best small dice is chosen in 20 strokes', async ({
  page,
  shown,
}) => {
  await page.goto(`${shown.url}/courses/1/bench?view=onion&method=below`);
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
  // Verticals are the usual: the address says nothing of them.
  await expect(page).not.toHaveURL(/method=/);
});

test('an onion of 60 layers is refused at its field', async ({ page, shown }) => {
  await page.goto(`${shown.url}/courses/1/bench?view=onion`);
  await page.getByRole('textbox', { name: 'Layers' }).fill('60');
  await expect(page.getByText('Layers: “60” is out of range. Allowed: 1 to 40.').first()).toBeVisible();
});

test('the chain is stepped through with its motion, part of the blade and cautions, and turned', async ({
  page,
  shown,
}) => {
  await page.goto(`${shown.url}/courses/1/bench?food=carrot&cut=brunoise&step=0`);
  const chain = page.getByRole('region', { name: 'The chain, step by step' });
  await expect(chain.getByRole('status')).toContainText('Trim both ends.');
  await expect(chain.getByRole('status')).toContainText('Rolls.');
  await expect(chain.getByRole('img', { name: 'Brunoise of carrot in space: trim both ends' })).toBeVisible();
  for (const title of ['One flat face', 'Square the sides', 'Planks', 'Sticks', 'Crosscuts']) {
    await chain.getByRole('button', { name: 'Next step' }).click();
    await expect(chain.getByRole('status')).toContainText(`${title}.`);
    await expect(chain.getByRole('status')).toContainText(/(push|tap|rock|pull).* · .* third/);
  }
  await expect(chain.getByRole('status')).toContainText('15 of 3.2 mm');
  await expect(chain.getByRole('button', { name: 'Next step' })).toBeDisabled();
  await expect(page).toHaveURL(/step=5/);
  const drawing = chain.getByRole('img', { name: /in space/ });
  const before = await drawing.innerHTML();
  await chain.getByRole('slider', { name: 'Turn', exact: true }).fill('-60');
  expect(await drawing.innerHTML()).not.toBe(before);
  const turned = await drawing.innerHTML();
  const box = await drawing.boundingBox();
  if (!box) throw new Error('no drawing');
  await page.mouse.move(box.x + 200, box.y + 80);
  await page.mouse.down();
  await page.mouse.move(box.x + 290, box.y + 110, { steps: 4 });
  await page.mouse.up();
  expect(await drawing.innerHTML()).not.toBe(turned);
  await chain.getByText('Flat first', { exact: true }).click();
  await expect(page).toHaveURL(/way=flat_first/);
});

test('another knife is laid beside the food, and a refused one says why', async ({ page, shown }) => {
  await page.goto(`${shown.url}/courses/1/bench?food=potato&cut=batonnet`);
  const chain = page.getByRole('region', { name: 'The chain, step by step' });
  await pick(page, 'Knife', /^Serrated 2.*refused/);
  await expect(chain.getByText(/skates|teeth|Teeth/).first()).toBeVisible();
  await expect(page).toHaveURL(/knife=/);
});

test('two sizes stand beside each other with the difference said, and are put away', async ({
  page,
  shown,
}) => {
  await page.goto(`${shown.url}/courses/1/bench?food=potato&cut=batonnet`);
  await page.getByRole('button', { name: 'Keep beside' }).click();
  const beside = page.getByRole('region', { name: 'Side by side' });
  await expect(beside).toContainText('as many pieces');
  await page.getByRole('slider', { name: 'Thickness' }).fill('12.7');
  await page.getByRole('slider', { name: 'Width' }).fill('12.7');
  await expect(beside.getByRole('status')).toContainText(/more pieces from one/);
  // One row a figure: both values, how they differ, and which is better.
  const strokes = beside.getByRole('row', { name: /^strokes for one/ });
  await expect(strokes.getByRole('cell')).toHaveCount(2);
  await expect(strokes.getByRole('cell').first()).toContainText(/\d+ better$/);
  await expect(strokes.getByRole('cell').last()).toContainText(/\d+\+ \d+/);
  await expect(beside.getByRole('row', { name: /^to buy for the class/ })).toContainText(' kg');
  await page.reload();
  await expect(beside.getByRole('status')).toContainText(/more pieces from one/);
  await page.getByRole('button', { name: 'Thickness: back to the standard' }).click();
  await expect(page).not.toHaveURL(/[?&]t=/);
  await beside.getByRole('button', { name: 'Put away', exact: true }).first().click();
  await expect(beside).toBeHidden();
});

test('sticks go on to cubes, the rest is weighed by use, and a price is reckoned with', async ({
  page,
  shown,
}) => {
  await page.goto(`${shown.url}/courses/1/bench`);
  await page.getByLabel('Of these, on to brunoise').fill('10');
  const products = page.getByRole('table', { name: 'What becomes of it' });
  await expect(products).toContainText('10 of the sticks, 15 from each');
  await expect(products.getByRole('row', { name: /Brunoise/ })).toContainText('150');
  await expect(products).toContainText('Mince');
  await expect(products).toContainText('Stock');
  await page.getByLabel('A kilogram costs').fill('2');
  await expect(page.getByRole('complementary')).toContainText(/1\.3 kg, costs 2\.6\d/);
  await page.getByLabel('A kilogram costs').fill('2000');
  await expect(page.getByText(/A kilogram costs: “2000” is out of range/).first()).toBeVisible();
});

test('a food is small, large, measured and peeled', async ({ page, shown }) => {
  await page.goto(`${shown.url}/courses/1/bench?food=potato&cut=medium_dice`);
  const pieces = page
    .getByRole('term')
    .filter({ hasText: /^pieces$/ })
    .locator('..')
    .first();
  await expect(pieces).toContainText('27');
  await page.getByText('L', { exact: true }).click();
  await expect(pieces).not.toContainText('27');
  await page.getByText('M', { exact: true }).click();
  await expect(pieces).toContainText('27');
  await page.getByText('Measured, peeled').click();
  await page.getByLabel('Peel off each side, mm').fill('1.2');
  await expect(
    page
      .getByRole('term')
      .filter({ hasText: /^peel$/ })
      .first(),
  ).toBeVisible();
  await page.getByLabel('Width, mm').fill('900');
  await expect(page.getByText(/Size of the food.* is out of range/).first()).toBeVisible();
  await page.getByLabel('Width, mm').fill('80');
  await expect(page).toHaveURL(/measured=95,80,60/);
});

test('cuts without blocks have their own figures', async ({ page, shown }) => {
  const figures = page.getByRole('region', { name: 'Figures of this cut' });
  await page.goto(`${shown.url}/courses/1/bench?food=cucumber&cut=bias_coins`);
  await expect(figures).toContainText('59 mm');
  await page.goto(`${shown.url}/courses/1/bench?food=lemon&cut=wedges&wedges=6`);
  await expect(figures).toContainText('60°');
  await page.getByRole('textbox', { name: 'Wedges' }).fill('7');
  await expect(page.getByText(/“7” cannot be cut by halves/).first()).toBeVisible();
  await page.goto(`${shown.url}/courses/1/bench?food=parsley&cut=mince`);
  await expect(figures).toContainText('passes');
  await page.goto(`${shown.url}/courses/1/bench?food=carrot&cut=turned`);
  await expect(figures).toContainText('falls off');
});

test('a student card has the piece at true size and prints without the rest', async ({ page, shown }) => {
  await page.goto(`${shown.url}/courses/1/bench`);
  await page.getByRole('link', { name: 'Student card' }).click();
  const card = page.getByRole('article', { name: 'Student card' });
  await expect(card).toContainText('Julienne of carrot');
  await expect(card).toContainText('Local law');
  const piece = card.getByRole('img', { name: /true size/ });
  // A millimetre of the drawing is a millimetre of the page: 96 dots to 25.4 mm.
  const [width, viewBox] = await piece.evaluate((svg: SVGSVGElement) => [
    svg.getBoundingClientRect().width,
    svg.viewBox.baseVal.width,
  ]);
  expect((width ?? 0) / (viewBox ?? 1)).toBeCloseTo(96 / 25.4, 1);
  await page.emulateMedia({ media: 'print' });
  await expect(card).toBeVisible();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
});

test('a cut of an onion is put elsewhere by hand, a leek is looked at, onions stand side by side', async ({
  page,
  shown,
}) => {
  await page.goto(`${shown.url}/courses/1/bench?view=onion&cuts=5`);
  const spread = page.getByRole('term').filter({ hasText: 'spread (CV)' }).locator('..');
  const before = await spread.textContent();
  const third = page.getByRole('slider', { name: 'Cut 3' });
  await third.focus();
  for (let step = 0; step < 6; step++) await page.keyboard.press('ArrowRight');
  await expect(spread).not.toHaveText(before ?? '');
  await expect(third).toHaveAttribute('aria-valuenow', '56');
  await expect(page).toHaveURL(/places=/);
  await page.getByRole('button', { name: 'Steps uneven by: back to the standard' }).click();
  await expect(spread).toHaveText(before ?? '');
  await page.getByLabel('Steps uneven by').fill('30');
  await expect(spread).not.toHaveText(before ?? '');
  await page.getByRole('button', { name: 'Keep beside' }).click();
  await page.getByRole('radiogroup', { name: 'Method' }).getByText('Radial, to the centre').click();
  await expect(page.getByRole('region', { name: 'Side by side' }).getByRole('status')).toContainText(
    /against radial cuts to the centre: .* ribbons, in as many strokes/,
  );
  await page.getByRole('button', { name: 'leek', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Dice of a leek, layer by layer' })).toBeVisible();
  await expect(page.getByRole('complementary')).toContainText('The half leek');
});

test('lengths are in inches at one key', async ({ page, shown }) => {
  await page.goto(`${shown.url}/courses/1/bench`);
  await expect(page.getByText('3.2 × 3.2 × 50 mm')).toBeVisible();
  await page.keyboard.press('i');
  await expect(page.getByText('1/8 × 1/8 × 2 in')).toBeVisible();
  // What is typed is read in the unit that is shown: 1-1/2 in is 38.1 mm.
  await page.getByText('Measured, peeled').click();
  await page.getByLabel('Thick end, in').fill('1-1/');
  await page.getByLabel('Thick end, in').blur();
  await expect(page.getByText('“1-1/” is no length: write 1/8 or 1-1/2')).toBeVisible();
  await page.getByLabel('Thick end, in').fill('1-1/2');
  await page.getByLabel('Thick end, in').blur();
  await expect(page.getByLabel('Thick end, in')).toHaveValue('1-1/2');
  await expect(page).toHaveURL(/measured=38\.1,/);
  await page.keyboard.press('i');
  await expect(page.getByText('3.2 × 3.2 × 50 mm')).toBeVisible();
});

test('a celery stalk is cut in strips around its hollow, a leek in sticks of its layers', async ({
  page,
  shown,
}) => {
  await page.goto(`${shown.url}/courses/1/bench?food=celery&cut=julienne`);
  const strips = page.getByRole('region', { name: 'Strips square to the wall' });
  // Eight strips of two sticks, in four lengths of 50 mm.
  await expect(strips).toContainText('64');
  await expect(strips.getByRole('img').locator('path[transform]')).toHaveCount(8);
  await page.getByRole('button', { name: 'Strips', exact: true }).click();
  await expect(page.getByText(/both sides of a strip square to the wall/)).toBeVisible();
  await page.getByText('Measured, peeled').click();
  await page.getByLabel('Wall, mm').fill('16');
  await expect(page.getByText(/Wall: 16 mm is out of range.*half the width/i).first()).toBeVisible();
  await page.goto(`${shown.url}/courses/1/bench?food=leek&cut=julienne`);
  await expect(page.getByRole('region', { name: 'Halved, layers laid flat' })).toContainText('400');
  await expect(page.getByRole('region', { name: 'Figures of this cut' })).toContainText('2.2 mm');
  await page.getByRole('button', { name: 'Layers laid flat' }).click();
  await expect(page.getByText(/pressed flat with the inside up; each length opens to 8/)).toBeVisible();
});

test('what is dragged is in the address when the hand rests, and nothing piles up', async ({
  page,
  shown,
}) => {
  await page.goto(`${shown.url}/courses/1/bench?view=onion&method=below`);
  const slider = page.getByRole('slider', { name: 'Aim below the board' });
  await slider.focus();
  for (let step = 0; step < 25; step++) await page.keyboard.press('ArrowRight');
  await expect(page).toHaveURL(/depth=1.75/);
  // By the browser's own clock: what is told of it to the test comes late on a busy machine.
  const most = await page.evaluate(() => {
    const asked = performance
      .getEntriesByType('resource')
      .filter((each) => each.name.endsWith('/bench/onion')) as PerformanceResourceTiming[];
    const open = (at: number) => asked.filter((each) => each.startTime <= at && each.responseEnd > at).length;
    return { asked: asked.length, open: Math.max(...asked.map((each) => open(each.startTime))) };
  });
  expect(most.asked).toBeGreaterThan(0);
  // One at a time; when it is answered the newest is asked.
  expect(most.open).toBe(1);
  await page.goBack();
});
