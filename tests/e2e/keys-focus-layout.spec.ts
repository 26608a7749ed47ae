import { expect, test, type Page } from '@playwright/test';
import { noViolations } from '../support/noViolations.ts';
import { newCase, saved, words } from '../support/casePage.ts';

const ask = (page: Page) => page.getByRole('region', { name: 'Ask next' });
const questions = (page: Page) => ask(page).getByRole('listitem').locator('p');

test.describe('typing goes on', () => {
  const TEXT = 'My cucumber plants wilt at noon.';

  test('after a press on an answer and on what was heard', async ({ page }) => {
    await newCase(page, TEXT);
    const yes = ask(page).getByRole('button', { name: /^Yes/ }).first();
    await yes.click();
    await page.keyboard.type(' It is hot');
    await page
      .getByRole('button', { name: /^Leave out/ })
      .first()
      .click();
    await page.keyboard.type(' here.');
    await expect(words(page)).toHaveValue(`${TEXT} It is hot here.`);
  });

  test('at the end of what is there when a case is opened again', async ({ page }) => {
    await newCase(page, TEXT);
    await saved(page);
    await page.reload();
    await expect(words(page)).toBeFocused();
    await page.keyboard.type(' And in the morning.');
    await expect(words(page)).toHaveValue(`${TEXT} And in the morning.`);
  });

  test('from the keyboard with the question behind the one that was answered', async ({ page }) => {
    await newCase(page, TEXT);
    await expect(questions(page)).toHaveCount(3);
    await saved(page);
    const yes = ask(page).getByRole('button', { name: /^Yes/ }).first();
    await yes.focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText('Answered', { exact: true })).toBeVisible();
    await expect(ask(page).locator(':focus')).toHaveRole('button');
  });
});

test.describe('keys', () => {
  test('held down answer one question', async ({ page }) => {
    await newCase(page, 'My cucumber plants wilt at noon.');
    await expect(questions(page)).toHaveCount(3);
    await page.keyboard.down('Alt');
    for (let i = 0; i < 6; i++) await page.keyboard.down('n');
    await page.keyboard.up('n');
    await page.keyboard.up('Alt');
    await expect(page.getByText('Answered', { exact: true })).toBeVisible();
    await saved(page);
    await expect(page.locator('[data-heard] button', { hasText: 'Undo' })).toHaveCount(1);
  });

  test('rest while a dialog is open', async ({ page }) => {
    await newCase(page, 'My cucumber plants wilt at noon.');
    await expect(questions(page)).toHaveCount(3);
    await page.keyboard.press('Alt+s');
    await expect(page.getByRole('dialog')).toBeVisible();
    await page.keyboard.press('Alt+n');
    await page.keyboard.press('Alt+p');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page.getByRole('button', { name: 'Another plant' })).toBeVisible();
    await expect(page.getByText('Answered', { exact: true })).toHaveCount(0);
    await expect(page.getByRole('navigation', { name: 'Plants of this call' })).not.toContainText(
      'Plant 2',
    );
  });

  test('are listed on each page, and Escape closes the list', async ({ page }) => {
    for (const [path, key] of [
      ['/', 'Take a new enquiry'],
      ['/season', 'Back to the Desk'],
      ['/library', 'Search the library'],
      ['/bench', 'Back to the Desk'],
      ['/clinic', 'Back to the Desk'],
    ] as const) {
      await page.goto(path);
      await expect(page.locator('main')).toBeVisible();
      const list = page.getByRole('dialog', { name: 'Keys' });
      // The page listens a moment after it is drawn.
      await expect(async () => {
        await page.keyboard.press('?');
        await expect(list).toContainText(key, { timeout: 2000 });
      }).toPass();
      await page.keyboard.press('Escape');
      await expect(list).toHaveCount(0);
    }
  });

  test('are listed at a press where typing has begun', async ({ page }) => {
    await page.goto('/casebook');
    await page.getByRole('button', { name: 'Keys ?' }).click();
    await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Back to the Desk');
  });

  test('leave a page of the case by Escape', async ({ page }) => {
    await newCase(page, 'My cucumber plants wilt at noon.');
    await page.keyboard.press('Alt+m');
    await expect(page.getByRole('region', { name: 'Samples' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(ask(page)).toBeVisible();
  });
});

test('a reload keeps the plant, the page beside it and the clock', async ({ page }) => {
  await newCase(page, 'My cucumber plants wilt at noon.');
  await page.keyboard.press('Alt+p');
  await page.keyboard.type('The beach rose has black spots.');
  await saved(page);
  await page.keyboard.press('Alt+o');
  await expect(page.getByRole('region', { name: 'What came of it' })).toBeVisible();
  await page.waitForTimeout(2500);
  await page.reload();
  await expect(page.getByRole('region', { name: 'What came of it' })).toBeVisible();
  await expect(words(page)).toHaveValue('The beach rose has black spots.');
  await expect(page.getByRole('timer')).not.toHaveText(/^0:0[01]$/);
});

test('the first question holds while words are typed, and moves at the end of a sentence', async ({
  page,
}) => {
  await newCase(page, 'Our plum.');
  const region = page.getByRole('region', { name: 'Ask next' });
  await expect(region.getByRole('listitem').first()).toBeVisible();
  await page.evaluate(() => {
    const seen: string[] = [];
    const note = (): void => {
      const text = document.querySelector('[aria-label="Ask next"] li')?.textContent ?? '';
      if (seen.at(-1) !== text) seen.push(text);
      document.body.dataset.asked = String(seen.length);
    };
    note();
    new MutationObserver(note).observe(document.body, { subtree: true, childList: true });
  });
  await words(page).press('Control+End');
  const typed =
    ' The leaves have round holes and some of the young fruit has gum on it since the rain.';
  await words(page).pressSequentially(typed, { delay: 40 });
  const changes = async (): Promise<number> =>
    Number(await page.evaluate(() => document.body.dataset.asked)) - 1;
  await expect.poll(changes).toBeGreaterThan(0);
  expect(await changes()).toBeLessThanOrEqual(3);
});

test('a case begins by the way it came', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Desk', exact: true })).toBeVisible();
  await page.keyboard.press('w');
  await expect(words(page)).toBeFocused();
  await expect(page.getByRole('button', { name: 'Came: At the desk. Change' })).toBeVisible();
});

test('a call ends in a few keys with the day on which it goes on', async ({ page }) => {
  await newCase(page, 'My cucumber plants wilt at noon.');
  await page.keyboard.press('Alt+f');
  const ends = page.getByRole('dialog', { name: 'How does it end?' });
  await ends.getByRole('textbox', { name: /^How to reach them/ }).fill('555 0142');
  await ends.getByLabel('Call back on').fill('2026-06-18');
  await ends.getByRole('button', { name: /^Advised/ }).focus();
  await page.keyboard.press('2');
  await expect(ends).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Call back: .*18 Jun/ })).toBeVisible();
  await page.keyboard.press('Alt+f');
  await expect(ends).toBeVisible();
  await page.keyboard.press('3');
  await expect(page.getByRole('region', { name: 'Samples' })).toBeVisible();
  await saved(page);
  await page.keyboard.press('Alt+d');
  await expect(page.getByRole('complementary', { name: 'To be done' })).toContainText(/18 Jun/);
});

test.describe('every page fits', () => {
  const SIZES = [
    [1024, 768],
    [768, 1024],
    [640, 400],
    [390, 844],
  ] as const;
  const fits = async (page: Page, where = 'case'): Promise<void> => {
    for (const [width, height] of SIZES) {
      await page.setViewportSize({ width, height });
      const wide = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect({ where, width, wide }).toEqual({ where, width, wide: 0 });
      // Parts that scroll by themselves hide what is too wide for them.
      const cut = await page.evaluate(() =>
        [...document.querySelectorAll('main, header, main > *')]
          .filter((one) => getComputedStyle(one).overflowX !== 'visible')
          .filter((one) => one.scrollWidth > one.clientWidth + 1)
          .map((one) => one.outerHTML.slice(0, 80)),
      );
      expect({ where, width, cut }).toEqual({ where, width, cut: [] });
    }
  };

  const PATHS = [
    '/',
    '/casebook',
    '/casebook/learned',
    '/casebook/import',
    '/season',
    '/library',
    '/library/cause/rose-black-spot',
    '/bench',
    '/clinic',
  ];
  test('also on a tablet, a telephone and at twice the size', async ({ page }) => {
    for (const path of PATHS) {
      await page.goto(path);
      await expect(page.locator('main h1, main h2').first()).toBeVisible();
      await fits(page, path);
    }
  });

  test('and what opens over a case is accessible on a telephone', async ({ page }) => {
    await newCase(page, 'My cucumber plants wilt at noon.');
    await expect(questions(page)).toHaveCount(3);
    await page.setViewportSize({ width: 390, height: 844 });
    await noViolations(page);
    for (const chip of [/^Who:/, /^Plant:/, /^Place:/]) {
      await page.getByRole('button', { name: chip }).click();
      await noViolations(page);
      await page.keyboard.press('Escape');
    }
    await page.keyboard.press('Alt+f');
    await expect(page.getByRole('dialog', { name: 'How does it end?' })).toBeVisible();
    await noViolations(page);
  });

  test('with a case of seven plants', async ({ page }) => {
    await newCase(page, 'My cucumber plants wilt at noon.');
    for (let i = 0; i < 6; i++) {
      await page.keyboard.press('Alt+p');
      await page.keyboard.type('The beach rose has black spots.');
    }
    await saved(page);
    await fits(page);
  });
});
