import { chromium, expect, test, type Browser, type Page } from '@playwright/test';
import { seeded } from '../../src/core/util/random.ts';
import { CHROMIUM } from '../support/chromium.ts';
import { newCase, saved, words } from '../support/casePage.ts';

const idOf = (page: Page): string => new URL(page.url()).pathname.split('/').at(-1) ?? '';

/** All words of a case as the server holds them. */
async function wordsOf(page: Page, id: string): Promise<string[]> {
  const answer = await page.request.get(`/api/cases/${id}`);
  const { case: record } = (await answer.json()) as { case: { plants: { words: string }[] } };
  return record.plants.map((plant) => plant.words);
}
const held = (page: Page, id: string) =>
  expect.poll(async () => (await wordsOf(page, id)).join(' | '));

async function toDesk(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Desk', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Desk', exact: true })).toBeVisible();
}
async function anotherCase(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Take a new enquiry/ }).click();
  await expect(words(page)).toBeVisible();
}
const isChange = (url: URL): boolean => /\/api\/cases\/[^/]+\/events$/.test(url.pathname);

test.describe('switching between cases', () => {
  test('words typed while a save is unanswered stay in their own case', async ({ page }) => {
    await newCase(page, '');
    const first = idOf(page);
    await page.route(isChange, async (route) => {
      await new Promise((resolve) => setTimeout(resolve, 1500));
      await route.continue();
    });
    await words(page).fill('alpha currant leaves curl');
    await page.waitForTimeout(600);
    await toDesk(page);
    await anotherCase(page);
    const second = idOf(page);
    expect(second).not.toBe(first);
    await words(page).fill('bravo quince fruit spots');
    await saved(page);
    await held(page, second).toBe('bravo quince fruit spots');
    await held(page, first).toBe('alpha currant leaves curl');
  });

  test('what was typed just before leaving is sent from any page', async ({ page }) => {
    await newCase(page, '');
    const id = idOf(page);
    await saved(page);
    await words(page).fill('charlie lupin wilts');
    await toDesk(page);
    await held(page, id).toBe('charlie lupin wilts');
  });

  test('what was typed while the server was away is sent from any page', async ({ page }) => {
    await newCase(page, '');
    const id = idOf(page);
    await saved(page);
    await page.route(isChange, (route) => route.abort());
    await words(page).fill('delta rhubarb holes');
    await toDesk(page);
    await page.unroute(isChange);
    await held(page, id).toBe('delta rhubarb holes');
  });
});

test.describe('what the server will not take', () => {
  test('a date typed by keyboard stops no other change', async ({ page }) => {
    await newCase(page, '');
    const id = idOf(page);
    await page.getByRole('button', { name: 'Call back: not booked. Change' }).click();
    await page.getByLabel(/^Day to call back/).focus();
    await page.keyboard.type('06162026', { delay: 120 });
    await page.waitForTimeout(600);
    await page.keyboard.press('Escape');
    await words(page).fill('echo beans yellow');
    await held(page, id).toBe('echo beans yellow');
    await page.reload();
    await expect(words(page)).toHaveValue('echo beans yellow');
    await expect(page.getByRole('button', { name: /^Call back: .*16 Jun 2026/ })).toBeVisible();
  });

  test('a name over its limit stops no other change', async ({ page }) => {
    await newCase(page, '');
    const id = idOf(page);
    await page.getByRole('button', { name: /^Who:/ }).click();
    await page.getByRole('textbox', { name: 'Name' }).fill('n'.repeat(130));
    await page.waitForTimeout(600);
    await page.keyboard.press('Escape');
    await words(page).fill('foxtrot dill droops');
    await held(page, id).toBe('foxtrot dill droops');
  });

  test('half an emoji is never sent', async ({ page }) => {
    await newCase(page, 'golf mint rust');
    const id = idOf(page);
    await words(page).evaluate((box: HTMLTextAreaElement) => {
      const value = Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value');
      value?.set?.call(box, 'golf mint rust \ud83d\u0000 and more');
      box.dispatchEvent(new Event('input', { bubbles: true }));
    });
    await held(page, id).toMatch(/^golf mint rust .* and more$/);
    await saved(page);
  });

  test('a year of five digits leaves the page standing', async ({ page }) => {
    await newCase(page, 'hotel kale holes');
    await page.getByRole('button', { name: /^Day:/ }).click();
    await page.getByLabel('Day of the enquiry').focus();
    await page.keyboard.type('061320266', { delay: 60 });
    await page.waitForTimeout(500);
    await page.keyboard.press('Escape');
    await expect(words(page)).toHaveValue('hotel kale holes');
    await saved(page);
  });
});

test.describe('two advisors on one case', () => {
  const open = async (browser: Browser, path: string): Promise<Page> => {
    const page = await (await browser.newContext()).newPage();
    await page.goto(path);
    await expect(words(page)).toBeVisible();
    return page;
  };

  test('keep both their words, and see them without reloading', async ({ page, browser }) => {
    await newCase(page, 'The plums drop.');
    await saved(page);
    const other = await open(browser, `/case/${idOf(page)}`);
    await words(page).press('Control+End');
    await words(other).press('Control+End');
    await Promise.all([
      words(page).pressSequentially(' Gum on the bark.', { delay: 40 }),
      words(other).pressSequentially(' Planted last fall.', { delay: 40 }),
    ]);
    for (const each of [page, other]) {
      await expect(words(each)).toHaveValue(/The plums drop\./);
      await expect(words(each)).toHaveValue(/Gum on the bark\./);
      await expect(words(each)).toHaveValue(/Planted last fall\./);
    }
    await other.context().close();
  });

  test('hear of a new call at once', async ({ page, browser }) => {
    const desk = await (await browser.newContext()).newPage();
    await desk.goto('/');
    await expect(desk.getByRole('heading', { name: 'Desk', exact: true })).toBeVisible();
    // While changes are heard the lists are read once a minute: what comes within seconds was pushed.
    await desk.waitForTimeout(1500);
    await newCase(page, 'The wineberry canes wilt from the tip.');
    await saved(page);
    await expect(desk.getByText('The wineberry canes wilt from the tip.')).toBeVisible({
      timeout: 4000,
    });
    await desk.context().close();
  });

  test('each get the plant they added', async ({ page, browser }) => {
    await newCase(page, 'india roses');
    const id = idOf(page);
    await saved(page);
    const other = await open(browser, `/case/${id}`);
    await Promise.all([page.keyboard.press('Alt+p'), other.keyboard.press('Alt+p')]);
    await words(page).fill('juliet lawn');
    await words(other).fill('kilo pears');
    await expect
      .poll(async () => (await wordsOf(page, id)).sort())
      .toEqual(['india roses', 'juliet lawn', 'kilo pears']);
    await other.context().close();
  });
});

/** Words of one page, written at random places and some of them taken out again. */
async function editAtRandom(page: Page, mark: string, edits: number): Promise<Set<string>> {
  const random = seeded(mark.charCodeAt(0));
  const standing = new Set<string>();
  const box = words(page);
  for (let i = 0; i < edits; i++) {
    const victim = [...standing][Math.floor(random() * standing.size * 3)];
    if (victim === undefined) {
      const word = `${mark}${String(i).padStart(3, '0')}`;
      await box.evaluate((element: HTMLTextAreaElement, share) => {
        const gaps = [...element.value.matchAll(/ /g)].map(({ index }) => index);
        const at = gaps[Math.floor(share * gaps.length)] ?? element.value.length;
        element.setSelectionRange(at, at);
      }, random());
      await page.keyboard.insertText(` ${word}`);
      standing.add(word);
    } else {
      await box.evaluate((element: HTMLTextAreaElement, word) => {
        const at = element.value.indexOf(word);
        if (at === -1) throw new Error(`${word} is not in ${element.value}`);
        element.setSelectionRange(at, at + word.length);
      }, victim);
      await page.keyboard.press('Delete');
      standing.delete(victim);
    }
  }
  return standing;
}

const sorted = (text: string): string[] => text.split(/\s+/).filter(Boolean).sort();

test('two pages on one case end as a plain model that applies all of their 200 edits', async ({
  page,
  browser,
}) => {
  await newCase(page, 'start');
  const id = idOf(page);
  await saved(page);
  const other = await (await browser.newContext()).newPage();
  await other.goto(`/case/${id}`);
  for (const each of [page, other]) await words(each).focus();
  const standing = await Promise.all([editAtRandom(page, 'p', 100), editAtRandom(other, 'q', 100)]);
  await saved(page);
  await saved(other);
  const model = ['start', ...standing.flatMap((one) => [...one])].sort();
  await expect.poll(async () => sorted((await wordsOf(page, id)).join(' '))).toEqual(model);
  const [held = ''] = await wordsOf(page, id);
  for (const each of [page, other]) await expect(words(each)).toHaveValue(held);
  await other.context().close();
});

test.describe('answers that are lost', () => {
  test('double nothing', async ({ page }) => {
    await newCase(page, '');
    const id = idOf(page);
    await saved(page);
    let lost = 0;
    await page.route(isChange, async (route) => {
      if (lost >= 2) return route.continue();
      // Asking what is new would show that the change arrived.
      if (route.request().method() !== 'POST') return route.abort();
      lost++;
      await route.fetch();
      return route.abort();
    });
    await words(page).fill('lima spruce browning');
    await saved(page);
    expect(lost).toBe(2);
    const { events } = (await (await page.request.get(`/api/cases/${id}/events`)).json()) as {
      events: { event: { kind: string } }[];
    };
    expect(events.filter(({ event }) => event.kind.startsWith('words'))).toHaveLength(1);
  });

  test('N held down opens one case', async ({ page }) => {
    await page.goto('/');
    await expect(page.getByRole('table')).toBeVisible();
    let opened = 0;
    page.on('request', (request) => {
      if (request.method() === 'POST' && request.url().endsWith('/api/cases')) opened++;
    });
    // Held down: pressed again and again until the page of the case is there.
    for (let i = 0; i < 12; i++) await page.keyboard.press('n');
    await expect(words(page)).toBeFocused();
    await page.waitForTimeout(500);
    expect(opened).toBe(1);
  });
});

test.describe('what cannot be had is said', () => {
  test('a library that does not load is named, and can be asked for again', async ({ page }) => {
    await page.route('**/api/knowledge', (route) => route.abort());
    await page.goto('/library');
    await expect(page.getByRole('alert')).toContainText('The library could not be loaded');
    await page.unroute('**/api/knowledge');
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('searchbox').first()).toBeVisible();
  });

  test('the Desk claims nothing while the server is away', async ({ page }) => {
    await page.route('**/api/cases**', (route) => route.abort());
    await page.goto('/');
    await expect(page.getByText('The server does not answer.')).toBeVisible();
    await expect(page.getByText('No call-back is booked, and no sample is out.')).toBeHidden();
  });
});

test('over plain HTTP on a name of its own the application works', async () => {
  const browser = await chromium.launch({
    executablePath: CHROMIUM,
    args: ['--no-sandbox', '--host-resolver-rules=MAP clinic.test 127.0.0.1'],
  });
  try {
    const page = await browser.newPage({ baseURL: 'http://clinic.test:4399' });
    await page.goto('/');
    await page.getByRole('button', { name: /Anselm Rudd/ }).click();
    // Going on at once would cut the signing in short.
    await expect(page.getByRole('heading', { name: 'Desk', exact: true })).toBeVisible();
    await newCase(page, 'mike willow galls');
    await saved(page);
    const id = idOf(page);
    await page.goto('/');
    await expect(page.getByRole('table')).toContainText('mike willow galls');
    expect(id).not.toBe('');
  } finally {
    await browser.close();
  }
});
