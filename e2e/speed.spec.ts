import type { Page } from '@playwright/test';
import { test } from './app';

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
