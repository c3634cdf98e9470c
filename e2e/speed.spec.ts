import type { Page } from '@playwright/test';
import { expect, test } from './app';

// Recording a trace would be measured along.
test.use({ trace: 'off' });

/** Milliseconds from the pointer's event to the frame that shows its picture, while a slider is dragged. */
async function dragged(page: Page, slider: string, picture: string): Promise<number[]> {
  const handle = page.getByRole('slider', { name: slider, exact: true });
  const box = await handle.boundingBox();
  if (!box) throw new Error(`no slider ${slider}`);
  const drawing = page
    .getByRole('img', { name: new RegExp(picture) })
    .or(page.getByRole('group', { name: new RegExp(picture) }));
  await drawing.first().evaluate((svg) => {
    const state = window as unknown as { asked?: number; took: number[] };
    state.took = [];
    document.addEventListener('input', (event) => (state.asked = event.timeStamp), { capture: true });
    new MutationObserver(() => {
      const { asked } = state;
      if (asked === undefined) return;
      state.asked = undefined;
      requestAnimationFrame(() => setTimeout(() => state.took.push(performance.now() - asked)));
    }).observe(svg, { attributes: true, childList: true, subtree: true });
  });
  await page.mouse.move(box.x + box.width * 0.2, box.y + box.height / 2);
  await page.mouse.down();
  // There and back: a slider of few steps gives enough pictures too.
  for (let step = 0; step < 300; step++) {
    const there = step < 150 ? step : 300 - step;
    await page.mouse.move(box.x + box.width * (0.2 + (0.6 * there) / 150), box.y + box.height / 2);
    await page.waitForTimeout(60);
  }
  await page.mouse.up();
  return page.evaluate(() => (window as unknown as { took: number[] }).took);
}

function told(name: string, took: number[]) {
  const sorted = [...took].sort((a, b) => a - b);
  const at = (share: number) => (sorted[Math.ceil(sorted.length * share) - 1] ?? 0).toFixed(0);
  process.stdout.write(
    `${name}: ${sorted.length} pictures, median ${at(0.5)} ms, 95th ${at(0.95)} ms, last ${at(1)} ms\n`,
  );
}

test('from pointer to picture while dragging @speed', async ({ page, app }) => {
  test.setTimeout(300_000);
  await page.goto(`${app.url}/courses/1/bench?view=onion&method=below&cuts=7`);
  told('aim depth', await dragged(page, 'Aim below the board', 'cells$'));
  await page.goto(`${app.url}/courses/1/bench?view=onion&cuts=7`);
  told('wanted dice', await dragged(page, 'Wanted dice', 'cells$'));
  await page.goto(`${app.url}/courses/1/bench?view=onion`);
  told('number of cuts', await dragged(page, 'Cuts', 'cells$'));
  await page.goto(`${app.url}/courses/1/bench?food=carrot&cut=batonnet`);
  told('thickness of a batonnet', await dragged(page, 'Thickness', '^Section, squared'));
  await page.goto(`${app.url}/courses/1/bench`);
  told('turning the food', await dragged(page, 'Turn', 'in space'));
});

test('from a key to the moved block on the picture of the course @speed', async ({ page, app }) => {
  await page.goto(`${app.url}/courses/1/course`);
  await page.locator('[data-session] button').first().waitFor();
  await page.evaluate(() => {
    const state = window as unknown as { asked?: number; took: number[] };
    state.took = [];
    const place = () =>
      document.querySelector('[data-session] [aria-pressed="true"]')?.closest('[data-session]');
    let before = place();
    document.addEventListener('keydown', (event) => (state.asked = event.timeStamp), { capture: true });
    new MutationObserver(() => {
      const { asked } = state;
      if (asked === undefined || place() === before || !place()) return;
      before = place();
      state.asked = undefined;
      requestAnimationFrame(() => setTimeout(() => state.took.push(performance.now() - asked)));
    }).observe(document.body, { attributes: true, childList: true, subtree: true });
  });
  // Each block is left where it was moved to, so that every question is a new one.
  const blocks = page.locator('[data-held="false"] button[data-block]');
  const names = await blocks.evaluateAll((all) => all.map((each) => (each as HTMLElement).dataset.block));
  for (const name of names) {
    await page.locator(`[data-block="${name}"]`).first().click();
    for (const key of Number(name?.split(' ')[0]) > 5
      ? ['ArrowLeft', 'ArrowLeft']
      : ['ArrowRight', 'ArrowRight']) {
      await page.keyboard.press(key);
      await page.waitForTimeout(400);
    }
  }
  told('a moved block', await page.evaluate(() => (window as unknown as { took: number[] }).took));
});

/** Notes when each press of a button is on the screen, by the machine's clock. */
const watchPresses = (page: Page) =>
  page.evaluate(() => {
    const state = window as unknown as { touched: number[]; seen: number[] };
    state.touched = [];
    state.seen = [];
    document.addEventListener('pointerdown', () => state.touched.push(Date.now()), { capture: true });
    const count = () =>
      document.querySelectorAll('[aria-label="Marks of this attempt"] [aria-label^="seen"]');
    let before = '';
    new MutationObserver(() => {
      const now = [...count()].map((each) => each.textContent).join();
      if (now === before) return;
      before = now;
      requestAnimationFrame(() => setTimeout(() => state.seen.push(Date.now())));
    }).observe(document.body, { childList: true, subtree: true, characterData: true });
  });

test('from a touch to the screen, and to the second device @speed', async ({ page, context, app }) => {
  test.setTimeout(180_000);
  const second = await context.newPage();
  for (const each of [page, second]) {
    await each.goto(`${app.url}/courses/1/class/5?exercise=11&student=11`);
    await expect(each.getByRole('heading', { name: 'Julienne of carrot' })).toBeVisible();
  }
  await page.bringToFront();
  await page.getByRole('button', { name: 'Start all' }).click();
  const marks = page.getByRole('region', { name: 'Marks of this attempt' });
  await marks.getByRole('button', { name: 'Praise' }).click();
  await expect(page.getByText('Everything is sent.')).toBeVisible();
  await page.waitForTimeout(3_000);
  for (const each of [page, second]) await watchPresses(each);
  for (let times = 0; times < 50; times++) {
    await marks.getByRole('button', { name: 'Praise' }).click();
    await page.waitForTimeout(700);
  }
  const read = (of: Page) =>
    of.evaluate(() => {
      const { touched, seen } = window as unknown as { touched: number[]; seen: number[] };
      return { touched, seen };
    });
  const [here, there] = [await read(page), await read(second)];
  const after = (seen: number[]) =>
    here.touched.flatMap((at, index) => {
      const next = here.touched[index + 1] ?? Infinity;
      const first = seen.find((each) => each >= at && each < next);
      return first === undefined ? [] : [first - at];
    });
  told('a touch on the screen', after(here.seen));
  told('a touch on the second device', after(there.seen));
});
