import type { Browser, BrowserContext, Page } from '@playwright/test';
import { Wire, expect, keptFor, test } from './app';
import type { App } from './app';

// Recording a trace of an hour of touches would be an hour of pictures.
test.use({ trace: 'off' });

const DEVICES = 3;
const STUDENTS = 30;

/** Marks of each device: as many as one each ten seconds of two hours. */
const MARKS = 720;

const FAULTS = ['Loose grip', 'Claw drifts', 'Straight down', 'Tip lifts', 'Scrapes with edge'];

async function post(app: App, path: string, body: unknown): Promise<unknown> {
  const answer = await fetch(app.url + path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
  return answer.json();
}

/** Thirty students at work, each with a knife. */
async function fill(app: App): Promise<string[]> {
  const names = Array.from({ length: STUDENTS }, (_, index) => `Pupil ${String(index + 1).padStart(2, '0')}`);
  const students: number[] = [];
  for (const [index, name] of names.entries()) {
    const made = (await post(app, '/api/courses/1/students', {
      name,
      station: 21 + index,
      hand: 'right',
      hand_size: 'medium',
      clearance: 260,
      special_clearance: false,
      allergies: [],
      notes: '',
    })) as { id: number };
    students.push(made.id);
  }
  const rack = (await (await fetch(`${app.url}/api/rack`)).json()) as {
    groups: { knives: { knife: { id: number; knife_type: string } & Record<string, unknown> }[] }[];
  };
  const chefs = rack.groups
    .flatMap((group) => group.knives)
    .find(({ knife }) => knife.knife_type === 'chefs');
  if (!chefs) throw new Error('the rack has no chef’s knife');
  const fields = { ...chefs.knife, number: '501', edge_state: 'sharp' };
  await post(app, '/api/rack/many', { fields, count: STUDENTS });
  const after = (await (await fetch(`${app.url}/api/rack`)).json()) as typeof rack;
  const knives = after.groups
    .flatMap((group) => group.knives)
    .filter(({ knife }) => Number(knife.number) >= 501)
    .map(({ knife }) => knife.id);
  const starts = students.map((student_id, index) => ({
    student_id,
    exercise_id: 11,
    knife_id: knives[index],
  }));
  const told = (await post(app, '/api/lessons/5/attempts', { starts })) as { attempts: unknown[] };
  if (told.attempts.length !== STUDENTS) throw new Error(JSON.stringify(told).slice(0, 400));
  return names;
}

class Device {
  page!: Page;
  readonly wire: Wire;
  readonly made = new Map<string, number>();

  constructor(
    app: App,
    private readonly context: BrowserContext,
  ) {
    this.wire = new Wire(app.url);
  }

  static async of(app: App, browser: Browser): Promise<Device> {
    const device = new Device(app, await browser.newContext());
    await device.wire.lay();
    await device.open();
    await keptFor(device.page, '/api/students/14/evidence');
    return device;
  }

  async open() {
    this.page = await this.context.newPage();
    await this.page.goto(`${this.wire.url}/courses/1/class/5?exercise=11`);
    await expect(this.page.getByRole('heading', { name: 'Julienne of carrot' })).toBeVisible();
  }

  async mark(name: string, fault: string) {
    await this.page.getByRole('list', { name: 'Stations' }).getByRole('button', { name }).click();
    await this.page
      .getByRole('region', { name: 'Marks of this attempt' })
      .getByRole('button', { name: fault })
      .click();
    const key = `${name} ${fault}`;
    this.made.set(key, (this.made.get(key) ?? 0) + 1);
  }

  async close() {
    await this.context.close();
    this.wire.close();
  }
}

test('two hours of marks on three devices, the network cut, a page closed, the program killed @speed', async ({
  browser,
  app,
}) => {
  test.setTimeout(45 * 60_000);
  const names = await fill(app);
  const devices = await Promise.all(Array.from({ length: DEVICES }, () => Device.of(app, browser)));
  let seed = 7;
  const random = (below: number) => {
    seed = (Math.imul(seed, 1_103_515_245) + 12_345) & 0x7fffffff;
    return seed % below;
  };
  let touched = 0;
  const all = DEVICES * MARKS;
  let over = false;
  const cuts = (async () => {
    for (let cut = 0; cut < 10 && !over; cut++) {
      const at = Math.round(((cut + 0.2 + random(60) / 100) / 10) * all);
      while (touched < at && !over) await new Promise((resolve) => setTimeout(resolve, 20));
      const device = devices[random(DEVICES)];
      device?.wire.cut();
      await new Promise((resolve) => setTimeout(resolve, 1_000 + random(6_000)));
      device?.wire.mend();
      if (cut === 3 || cut === 7) {
        await app.kill();
        await new Promise((resolve) => setTimeout(resolve, 2_000));
        await app.start();
      }
    }
  })();
  await Promise.all(
    devices.map(async (device, index) => {
      for (let number = 0; number < MARKS; number++) {
        if (index === 1 && number === MARKS / 2) {
          await device.page.close();
          await device.open();
        }
        const name = names[random(names.length)];
        const fault = FAULTS[random(FAULTS.length)];
        if (name && fault) await device.mark(name, fault);
        touched++;
      }
    }),
  );
  over = true;
  await cuts;
  for (const device of devices)
    await expect(device.page.getByText('Everything is sent.')).toBeVisible({ timeout: 120_000 });
  const view = (await (await fetch(`${app.url}/api/lessons/5/class?exercise=11`)).json()) as {
    stations: { student: { name: string }; attempts: { made: { what: { fault?: string } }[] }[] }[];
  };
  const catalogue = (await (await fetch(`${app.url}/api/catalogue`)).json()) as {
    faults: { id: string; short: string }[];
  };
  const kept = new Map<string, number>();
  for (const { student, attempts } of view.stations)
    for (const { what } of attempts.flatMap((attempt) => attempt.made)) {
      const short = catalogue.faults.find((fault) => fault.id === what.fault)?.short ?? '';
      const key = `${student.name} ${short}`;
      kept.set(key, (kept.get(key) ?? 0) + 1);
    }
  const made = new Map<string, number>();
  for (const device of devices)
    for (const [key, times] of device.made) made.set(key, (made.get(key) ?? 0) + times);
  const sorted = (of: Map<string, number>) => [...of].sort(([one], [other]) => one.localeCompare(other));
  expect([...made.values()].reduce((sum, times) => sum + times, 0)).toBe(all);
  expect(sorted(kept)).toEqual(sorted(made));
  for (const device of devices) await device.close();
});
