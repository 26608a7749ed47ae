import { expect, test } from '@playwright/test';
import { newCase, saved, words, closeCase } from '../support/casePage.ts';
import { noViolations } from '../support/noViolations.ts';

test('a case is found by its words and kept search, read as a record, and taken out as a file', async ({
  page,
}) => {
  await newCase(page, 'My whitebeam has orange blisters on the leaves, zanderling');
  await saved(page);
  await expect(page.getByRole('button', { name: /^Sheet/ })).toBeVisible();
  await closeCase(page);
  await expect(page.getByRole('button', { name: 'Open again' })).toBeVisible();
  await saved(page);
  await page.getByRole('link', { name: 'Casebook', exact: true }).click();
  const search = page.getByRole('textbox', { name: 'Words, a name, or a number' });
  await expect(search).toBeFocused();
  await search.pressSequentially('orange blister on a leaf zanderling');
  const table = page.getByRole('table');
  await expect(table.getByRole('row')).toHaveCount(2);
  await expect(table).toContainText('My whitebeam has orange blisters');
  await noViolations(page);
  await page.getByRole('combobox', { name: 'State' }).selectOption('waiting');
  await expect(page.getByText('No case is found by that.')).toBeVisible();
  await page.getByRole('combobox', { name: 'State' }).selectOption('closed');
  await expect(table.getByRole('row')).toHaveCount(2);
  expect(new URL(page.url()).search).toContain('status=closed');
  await page.reload();
  await expect(search).toHaveValue('orange blister on a leaf zanderling');
  await expect(table.getByRole('row')).toHaveCount(2);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'CSV' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('casebook-2026-06-13.csv');
  await table.getByRole('link').first().click();
  await expect(page.getByRole('heading', { name: /^Record of case/ })).toBeVisible();
  await expect(page.getByText('zanderling')).toBeVisible();
  await expect(page.getByText('Thora Winslade wrote down words').first()).toBeVisible();
  await expect(page.getByText(/^Library /)).toBeVisible();
  await noViolations(page);
  await page.getByRole('link', { name: 'Open the case' }).click();
  await expect(words(page)).toHaveValue(/zanderling/);
  const open = await page.context().newPage();
  await open.goto(new URL(page.url()).pathname);
  await expect(words(open)).toHaveValue(/zanderling/);
  await page.goBack();
  await page.getByRole('button', { name: 'Take out all that was typed' }).click();
  await page.getByRole('button', { name: 'Take it out' }).click();
  await expect(page.getByText('Taken out, here and in what happened.')).toBeVisible();
  await expect(page.getByText('Nothing was written down.')).toBeVisible();
  await noViolations(page);
  // Whoever has the case open sees it go.
  await expect(words(open)).toHaveValue('');
});

test('the casebook narrows by plant and by days, and clears', async ({ page }) => {
  await page.goto('/casebook?from=2026-06-12&to=2026-06-12');
  const table = page.getByRole('table');
  await expect(table).toContainText('Teddy Quill');
  await expect(table).not.toContainText('Odile Farrant');
  await page.getByRole('button', { name: 'Clear' }).click();
  await expect(table).toContainText('Odile Farrant');
  await page.getByRole('button', { name: /Plant/ }).click();
  await page.getByRole('searchbox').fill('quinc');
  await page.getByRole('option', { name: /^Quince/ }).click();
  await expect(page.getByText('No case is found by that.')).toBeVisible();
});

test('a table is taken in by its columns, once, with what was refused by its line', async ({
  page,
}) => {
  await page.goto('/casebook');
  await page.getByRole('link', { name: 'Take cases in' }).click();
  const table = [
    'Date,Question,Diagnosis,Host',
    '2024-05-02,Horns on the juniper kettlewick,cedar-rust-juniper,Juniper',
    'in May,No day kettlewick,,',
    '2024-05-03,No such cause kettlewick,spite,',
  ].join('\n');
  const file = { name: 'old.csv', mimeType: 'text/csv', buffer: Buffer.from(table) };
  await page.getByLabel('A file of JSON Lines or a table').setInputFiles(file);
  await expect(page.getByRole('combobox', { name: 'Plant' })).toHaveValue('Host');
  await noViolations(page);
  await page.getByRole('button', { name: 'Take in 3 cases' }).click();
  await expect(page.getByText('1 taken in, 0 here already, 2 refused.')).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: 'called “spite”' })).toContainText('4');
  await page.getByRole('button', { name: 'Take in 3 cases' }).click();
  await expect(page.getByText('0 taken in, 1 here already, 2 refused.')).toBeVisible();
  await noViolations(page);
  await page.goto('/casebook?words=kettlewick');
  await expect(page.getByRole('table').getByRole('row')).toHaveCount(2);
  await page.getByRole('button', { name: 'Keep this search' }).click();
  await page.getByRole('textbox', { name: 'Name of the search' }).fill('Taken in');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await page.goto('/casebook');
  await page.getByRole('link', { name: 'Taken in' }).click();
  await expect(page).toHaveURL(/words=kettlewick/);
  await noViolations(page);
  await page.getByRole('button', { name: 'Remove “Taken in”' }).click();
  await expect(page.getByRole('link', { name: 'Taken in' })).toBeHidden();
});
