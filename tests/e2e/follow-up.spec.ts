import { expect, test, type Page } from '@playwright/test';
import { newCase, saved, words, closeCase } from '../support/casePage.ts';
import { noViolations } from '../support/noViolations.ts';

const SPRUCE =
  'Blue spruce. The inner needles of the lower branches turn purple brown and fall, black dots in rows.';

async function named(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: /^Who:/ }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill(name);
  await page.getByRole('radiogroup', { name: 'May we ask how it went?' }).getByText('yes').click();
  await page.keyboard.press('Escape');
}

test('a sample goes its way, comes up on the Desk, and its result counts and settles the case', async ({
  page,
}) => {
  await newCase(page, SPRUCE);
  await named(page, 'Almira Sedgewick');
  await expect(page.getByRole('button', { name: /^Samples/ })).toBeVisible();
  await page.keyboard.press('Alt+m');
  const panel = page.getByRole('region', { name: 'Samples' });
  await expect(panel).toContainText('Cut two or three twigs');
  await panel.getByRole('button', { name: 'Ask for this sample' }).click();
  const sample = panel.getByRole('article', { name: /^Plant sample/ });
  await expect(sample).toHaveCount(1);
  const number = (await sample.locator('code').textContent()) ?? '';
  expect(number).toMatch(/^\d+-[2-9A-Z]{3}$/);
  // The label is there for the printer: with the number in bars, and nobody's name.
  const label = page.locator('#on-paper');
  await expect(label.locator(`svg[aria-label="Plant sample ${number}"]`)).toHaveCount(1);
  await expect(label).not.toContainText('Almira');
  await noViolations(page);
  // The sheet says how to take it.
  await page.keyboard.press('Alt+l');
  await expect(page.locator('main')).toContainText(`Sample ${number}: Twigs with brown and green`);
  await page.keyboard.press('Alt+m');
  await sample.getByLabel('Sent on').fill('2026-06-10');
  await sample.getByLabel('Answer by').fill('2026-06-12');
  await sample.getByRole('textbox', { name: 'To which laboratory' }).fill('Tern County laboratory');
  await sample.getByRole('textbox', { name: 'Cost' }).fill('20');
  await page.keyboard.press('Tab');
  await saved(page);
  await page.goto('/');
  const due = page.getByRole('complementary', { name: 'To be done' });
  const line = due.getByRole('listitem').filter({ hasText: 'Almira Sedgewick' });
  await expect(line).toContainText('answer of a laboratory');
  await line.getByRole('link').click();
  await expect(words(page)).toHaveValue(SPRUCE);
  await page.keyboard.press('Alt+m');
  await expect(sample.getByRole('textbox', { name: 'Cost' })).toHaveValue('20');
  await sample.getByText('it was found', { exact: true }).click();
  await sample.getByRole('radiogroup', { name: 'About' }).getByText('Rhizosphaera').click();
  await sample.getByRole('textbox', { name: /^In the words/ }).fill('Rows of fruiting bodies.');
  await sample.getByRole('button', { name: 'Keep the result' }).click();
  await expect(sample).toContainText('Found: Rhizosphaera needle cast');
  await noViolations(page);
  await page.keyboard.press('Alt+m');
  await expect(page.getByText('This is a presumptive diagnosis')).toBeHidden();
  await expect(
    page.getByRole('button', { name: /^Came of it: Rhizosphaera needle cast/ }),
  ).toBeVisible();
  await saved(page);
  await page.goto('/');
  await expect(due).not.toContainText('Almira Sedgewick');
});

test('figures of a laboratory are read into the words and heard', async ({ page }) => {
  await newCase(page, 'My blueberry leaves are yellow between green veins');
  await expect(page.getByRole('button', { name: /^Samples/ })).toBeVisible();
  await page.keyboard.press('Alt+m');
  const panel = page.getByRole('region', { name: 'Samples' });
  await panel.getByRole('combobox', { name: 'Kind of sample' }).selectOption('Soil for a test');
  await panel.getByRole('button', { name: 'Ask for this sample' }).click();
  const sample = panel.getByRole('article', { name: /^Plant sample/ });
  await sample.getByRole('textbox', { name: /^In the words/ }).fill('pH 7.4, phosphorus 40 ppm');
  await sample.getByRole('button', { name: 'Keep the result' }).click();
  await sample.getByRole('button', { name: 'Read it into the words' }).click();
  await expect(words(page)).toHaveValue(/veins\nSoil test \d+-\w{3}: pH 7.4, phosphorus 40 ppm/);
  await expect(sample).toContainText('It stands among the words of the case.');
  await expect(page.getByText('pH 7.4', { exact: true }).first()).toBeVisible();
});

test('how it went is asked for, noted, and counted beside what was said', async ({ page }) => {
  await newCase(page, 'white powder on my lilac leaves, it wipes off');
  await named(page, 'Ferris Holloway');
  await expect(page.getByRole('button', { name: /^Sheet/ })).toBeVisible();
  await page.getByRole('button', { name: 'Call back: not booked. Change' }).click();
  await page.getByLabel(/^Day to call back/).fill('2026-06-13');
  await page.keyboard.press('Escape');
  await closeCase(page);
  await expect(page.getByText('as answered when the case was closed')).toBeVisible();
  await saved(page);
  // A promise holds though the case is closed.
  await page.goto('/');
  const due = page.getByRole('complementary', { name: 'To be done' });
  await due.getByRole('link', { name: 'Ferris Holloway' }).click();
  await expect(words(page)).toHaveValue(/lilac/);
  await page.keyboard.press('Alt+o');
  const panel = page.getByRole('region', { name: 'What came of it' });
  await expect(panel).toContainText('Dear Ferris Holloway,');
  await panel.getByRole('textbox', { name: 'What they said' }).fill('A little is left');
  await page.reload();
  // What is typed waits for its button.
  await expect(panel.getByRole('textbox', { name: 'What they said' })).toHaveValue(
    'A little is left',
  );
  await panel.getByText('some of it', { exact: true }).click();
  await panel.getByText('better', { exact: true }).click();
  await panel.getByRole('button', { name: 'Keep it' }).click();
  await expect(panel).toContainText('The call-back that was due is taken off the Desk.');
  await panel.getByRole('searchbox', { name: 'Another one, by name' }).fill('lilac bl');
  await panel.getByRole('option', { name: /^Lilac blight/ }).click();
  await panel.getByText('We had it in the hand').click();
  await noViolations(page);
  await saved(page);
  await page.goto('/');
  await expect(due).not.toContainText('Ferris Holloway');
  await page.goto('/casebook/learned');
  const row = page.getByRole('row', { name: /^Powdery mildew \d/ });
  await expect(row).toContainText('Lilac blight');
  await expect(page.getByRole('row', { name: /^some of it/ })).toBeVisible();
  await noViolations(page);
  await page.goto('/casebook?words=Ferris+Holloway');
  await page.getByRole('table').getByRole('link').first().click();
  await expect(page.getByText('They did what was advised: some of it.')).toBeVisible();
  await expect(page.getByText('A little is left', { exact: true })).toBeVisible();
  await noViolations(page);
});
