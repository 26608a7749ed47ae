import { expect, test, type Browser, type Page } from '@playwright/test';
import { newCase, saved, words, closeCase } from '../support/casePage.ts';
import { noViolations } from '../support/noViolations.ts';

const NOBODY = { cookies: [], origins: [] };

/** A page of a browser in which nobody is signed in. */
async function freshPage(browser: Browser, baseURL?: string): Promise<Page> {
  const context = await browser.newContext({
    storageState: NOBODY,
    ...(baseURL === undefined ? {} : { baseURL }),
  });
  return context.newPage();
}

/** Comes in as one of the people of the demonstration. */
async function comeIn(page: Page, name: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: new RegExp(name) }).click();
  await expect(page.getByRole('heading', { name: 'Desk', exact: true })).toBeVisible();
}

/** A trainee may not end a call whose advice is not released. */
async function cannotClose(page: Page): Promise<void> {
  await page.keyboard.press('Alt+f');
  await expect(page.getByRole('button', { name: /^Advised/ })).toBeDisabled();
  await page.keyboard.press('Escape');
}

test('a trainee asks, an advisor releases, and the trainee gives the advice out', async ({
  browser,
}) => {
  const [trainee, advisor] = [await freshPage(browser), await freshPage(browser)];
  await comeIn(trainee, 'Jory Tamblyn');
  await comeIn(advisor, 'Anselm Rudd');
  await newCase(trainee, 'There is white powder on the leaves of my lilac');
  await cannotClose(trainee);
  await trainee.getByRole('button', { name: 'Ask for release' }).click();
  await saved(trainee);
  await advisor.goto(new URL(trainee.url()).pathname);
  await expect(advisor.getByText('Jory Tamblyn asks for the release')).toBeVisible();
  await advisor.getByRole('button', { name: 'Give back' }).click();
  await expect(advisor.getByRole('alert')).toHaveText('Say what is to be changed.');
  await advisor.getByRole('textbox', { name: /What is to be changed/ }).fill('Ask for its age.');
  await advisor.getByRole('button', { name: 'Give back' }).click();
  await expect(trainee.getByText('Given back by Anselm Rudd. “Ask for its age.”')).toBeVisible();
  await trainee.getByRole('button', { name: 'Ask for release' }).click();
  await advisor.getByRole('button', { name: 'Release', exact: true }).click();
  await expect(trainee.getByText('Released by Anselm Rudd')).toBeVisible();
  await noViolations(trainee);
  // Other words are other advice: the release is gone.
  await words(trainee).pressSequentially(', and on the rose');
  await cannotClose(trainee);
  await trainee.getByRole('button', { name: 'Ask for release' }).click();
  await saved(trainee);
  await expect(words(advisor)).toHaveValue(/rose/);
  await advisor.getByRole('button', { name: 'Release', exact: true }).click();
  await closeCase(trainee);
  await expect(trainee.getByRole('button', { name: 'Open again' })).toBeVisible();
  await saved(trainee);
});

test('a call is handed over with a note, and the Desk says who has it', async ({ browser }) => {
  const [first, second] = [await freshPage(browser), await freshPage(browser)];
  await comeIn(first, 'Thora Winslade');
  await comeIn(second, 'Anselm Rudd');
  await newCase(first, 'My quince leaves have orange dust underneath.');
  await expect(first.getByRole('button', { name: /^Taken by: you/ })).toBeVisible();
  await first.keyboard.press('Alt+f');
  const ends = first.getByRole('dialog', { name: 'How does it end?' });
  await ends.getByLabel('Hand over to').selectOption({ label: 'Anselm Rudd' });
  await ends
    .getByRole('textbox', { name: /^Note for colleagues/ })
    .fill('He brings a leaf at two.');
  await ends.getByRole('button', { name: /^Hand over/ }).click();
  await expect(ends).toHaveCount(0);
  await saved(first);
  const row = second.getByRole('row', { name: /My quince leaves/ });
  await expect(row.getByRole('cell', { name: 'Anselm Rudd' })).toBeVisible();
  await expect(row).toContainText(/rust/i);
  await second.goto(new URL(first.url()).pathname);
  await expect(second.getByRole('button', { name: /^Taken by: you/ })).toBeVisible();
  await second.getByRole('button', { name: /^Notes: 1/ }).click();
  await expect(second.getByText('He brings a leaf at two.')).toBeVisible();
  await noViolations(second);
  await second.getByRole('button', { name: /^Remove the note/ }).click();
  await second.keyboard.press('Escape');
  await expect(first.getByRole('button', { name: /^Notes: none/ })).toBeVisible();
  await Promise.all([first, second].map((page) => page.context().close()));
});

test('an advisor reads in British spelling, and a garden elsewhere goes by the law of its town', async ({
  browser,
}) => {
  const page = await freshPage(browser);
  await comeIn(page, 'Petra Lindqvist-Moor');
  await page.goto('/clinic');
  await page.getByLabel('Spelling of the texts for me').selectOption('gb');
  await page.goto('/');
  await newCase(
    page,
    'Can I prune my oak tree now? Bark slid off it over a gray crust and it has dead twigs.',
  );
  await page.getByRole('button', { name: /^Place:/ }).click();
  await page.getByRole('searchbox', { name: /^Town/ }).fill('austin tx');
  await page
    .getByRole('option', { name: /Austin/ })
    .first()
    .click();
  const causes = page.getByRole('region', { name: 'Causes' });
  await expect(causes).toContainText(/grey crust/);
  await expect(page.getByText(/Local rule \(Texas\)/).first()).toBeVisible();
  await saved(page);
  await page.goto('/clinic');
  await page.getByLabel('Spelling of the texts for me').selectOption('clinic');
  await page.context().close();
});

test('a session that ends in the middle of a call is taken up again in place, and no word is lost', async ({
  browser,
}) => {
  const page = await freshPage(browser);
  await comeIn(page, 'Anselm Rudd');
  await newCase(page, 'My currants');
  await saved(page);
  await page.context().clearCookies();
  await words(page).pressSequentially(' drop their leaves');
  await expect(page.getByText('Your session has ended.')).toBeVisible();
  await noViolations(page);
  // It takes nothing out of the hands of who types.
  await words(page).pressSequentially(' since the hail');
  await page.getByRole('button', { name: 'Sign in again' }).click();
  const dialog = page.getByRole('dialog', { name: 'Sign in again' });
  await noViolations(page);
  await dialog.getByRole('button', { name: /Anselm Rudd/ }).click();
  await expect(page.getByText('Your session has ended.')).toHaveCount(0);
  await saved(page);
  await page.reload();
  await expect(words(page)).toHaveValue('My currants drop their leaves since the hail');
});

test('what one person typed is not sent in the name of another', async ({ browser }) => {
  const page = await freshPage(browser);
  await comeIn(page, 'Anselm Rudd');
  await newCase(page, 'Spots');
  await saved(page);
  const path = new URL(page.url()).pathname;
  await page.context().clearCookies();
  await words(page).pressSequentially(' on my medlar');
  await page.getByRole('button', { name: 'Sign in again' }).click();
  await page.getByRole('dialog').getByRole('button', { name: /Petra/ }).click();
  await expect(page.getByRole('heading', { name: 'Desk', exact: true })).toBeVisible();
  await page.goto(path);
  await expect(words(page)).toHaveValue('Spots');
  await page.getByRole('button', { name: /Petra.*account/ }).click();
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Who is at the desk?' })).toBeVisible();
  await comeIn(page, 'Anselm Rudd');
  await page.goto(path);
  await expect(words(page)).toHaveValue('Spots on my medlar');
  await saved(page);
});

test('somebody new comes in by a link, sets a password and signs in by it; a reader only reads', async ({
  browser,
}) => {
  const coordinator = await freshPage(browser);
  await comeIn(coordinator, 'Thora Winslade');
  await coordinator.getByRole('link', { name: 'Clinic', exact: true }).click();
  const email = `ines-${Date.now()}@clinic.example`;
  await coordinator.getByRole('textbox', { name: 'Name', exact: true }).fill('Ines Board');
  await coordinator.getByRole('textbox', { name: 'E-mail address' }).fill(email);
  await coordinator.getByRole('combobox', { name: 'Role', exact: true }).selectOption('display');
  await coordinator.getByRole('button', { name: 'Add to the clinic' }).click();
  await coordinator
    .getByRole('button', { name: /Make a link by which Ines Board/ })
    .last()
    .click();
  const link = await coordinator.locator('code').innerText();
  await noViolations(coordinator);

  const page = await freshPage(browser);
  await page.goto(link);
  await expect(page.getByRole('heading', { name: 'Ines Board, choose a password' })).toBeVisible();
  const password = page.getByLabel(/New password/);
  await password.fill('short');
  await page.getByRole('button', { name: 'Set the password and sign in' }).click();
  await expect(page.getByRole('alert')).toContainText('at least 10 characters');
  await noViolations(page);
  await password.fill('seven red beets');
  await page.getByRole('button', { name: 'Set the password and sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Desk', exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: /Take a new enquiry/ })).toHaveCount(0);
  await page.getByRole('table').getByRole('link').first().click();
  await expect(page.getByText('You can read here.')).toBeVisible();
  await words(page).pressSequentially('not mine to write');
  // Others may be writing into the same case.
  await expect(words(page)).not.toHaveValue(/mine/);
  await page.goto(link);
  await expect(page.getByRole('alert')).toContainText('used already');
});

test('a passkey is added and signs in without a password', async ({ browser, baseURL }) => {
  const port = new URL(baseURL ?? '').port;
  const page = await freshPage(browser, `http://localhost:${port}`);
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('WebAuthn.enable');
  await cdp.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  });
  await comeIn(page, 'Petra');
  // The list of passkeys comes late: what is typed meanwhile stays.
  await page.route('**/api/people/me/passkeys', async (route) => {
    await new Promise((later) => setTimeout(later, 700));
    await route.continue();
  });
  const listed = page.waitForResponse('**/api/people/me/passkeys');
  await page.getByRole('link', { name: 'Clinic', exact: true }).click();
  await page.getByRole('textbox', { name: /Name of the passkey/ }).fill('Blue laptop');
  await listed;
  await page.unrouteAll();
  await expect(page.getByText('You have none.')).toBeVisible();
  await page.getByRole('button', { name: 'Add a passkey' }).click();
  await expect(page.getByText('Blue laptop')).toBeVisible();
  // The way in of a clinic that is no demonstration.
  await page.route('**/api/session', async (route) => {
    const answer = await route.fetch();
    const state = (await answer.json()) as Record<string, unknown>;
    await route.fulfill({ response: answer, json: { ...state, demo: [] } });
  });
  await page.getByRole('button', { name: /Petra.*account/ }).click();
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Sign in', exact: true })).toBeVisible();
  await page.getByLabel('E-mail address').fill('nobody@clinic.example');
  await page.getByLabel('Password').fill('a wrong one');
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('do not belong together');
  await noViolations(page);
  await page.getByRole('button', { name: 'Use a passkey' }).click();
  await expect(page.getByRole('heading', { name: 'Desk', exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: /Petra.*account/ })).toBeVisible();
  await page.unrouteAll();
  await page.getByRole('link', { name: 'Clinic', exact: true }).click();
  await page.getByRole('button', { name: 'Remove the passkey Blue laptop' }).click();
  await expect(page.getByText('You have none.')).toBeVisible();
});

test('pages keep to their own policy: no script, sheet or font is refused, and none of another site is asked for', async ({
  page,
}) => {
  const refused: string[] = [];
  page.on('console', (message) => {
    if (/Content Security Policy|Refused to/.test(message.text())) refused.push(message.text());
  });
  const elsewhere: string[] = [];
  page.on('request', (request) => {
    if (new URL(request.url()).hostname !== '127.0.0.1') elsewhere.push(request.url());
  });
  const markup = '<img src="/x" onerror="document.title = 1"><script>document.title = 2</script>';
  await newCase(page, `There is white powder on the leaves of my lilac ${markup}`);
  await expect(page.getByRole('button', { name: /^Sheet/ })).toBeVisible();
  await page.getByRole('button', { name: /^Sheet/ }).click();
  for (const name of ['Season', 'Library', 'Bench', 'Clinic', 'Desk']) {
    await page.getByRole('link', { name, exact: true }).click();
    await expect(page.getByRole('main')).toBeVisible();
    await page.waitForLoadState('networkidle');
  }
  await expect(page.getByRole('heading', { name: 'Desk', exact: true })).toBeVisible();
  await expect(page.getByRole('table')).toContainText('onerror');
  expect(refused).toEqual([]);
  expect(elsewhere).toEqual([]);
  expect(await page.evaluate(() => getComputedStyle(document.body).fontFamily)).toContain('Public');
});
