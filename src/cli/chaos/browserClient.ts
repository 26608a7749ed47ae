import {
  chromium,
  type Browser,
  type BrowserContext,
  type Page,
  type Route,
} from '@playwright/test';
import { z } from 'zod';
import type { SessionHeaders } from '../demoSession.ts';
import { FaultyNetwork } from './faultyNetwork.ts';
import { pause, untilDone, type Ledger } from './ledger.ts';

const EVENTS = /\/api\/cases\/([^/]+)\/events$/;
/** Generous: a shared machine has minutes in which a page takes that long; what counts is that no word is lost. */
const MAX_OPENING_MS = 60_000;
const appended = z.object({ events: z.array(z.object({ id: z.string() })) });
const sending = z.object({ events: z.array(z.object({ id: z.string() })) });

/** Starts the browser in which pages are driven. */
export function startBrowser(executablePath: string): Promise<Browser> {
  return chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu'] });
}

/** What a page is driven with. */
interface BrowserParts {
  readonly network: FaultyNetwork;
  readonly ledger: Ledger;
  readonly session: SessionHeaders;
}

/** A real page on a bad network: it types, goes from case to case, and is killed now and then. */
export class BrowserClient {
  readonly #context: BrowserContext;
  readonly #network: FaultyNetwork;
  readonly #ledger: Ledger;
  readonly #server: string;
  #page: Page | null = null;
  #caseId = '';

  private constructor(
    context: BrowserContext,
    server: string,
    network: FaultyNetwork,
    ledger: Ledger,
  ) {
    this.#context = context;
    this.#server = server;
    this.#network = network;
    this.#ledger = ledger;
  }

  static async start(
    browser: Browser,
    server: string,
    { network, ledger, session }: BrowserParts,
  ): Promise<BrowserClient> {
    const context = await browser.newContext();
    const [name = '', value = ''] = session.cookie.split('=', 2);
    await context.addCookies([{ name, value, url: server, httpOnly: true, sameSite: 'Strict' }]);
    const client = new BrowserClient(context, server, network, ledger);
    await context.route(EVENTS, (route) => client.#spoil(route));
    return client;
  }

  /** Opens a case, in a fresh page when there is none; waits for a server that is coming back. */
  async open(caseId: string): Promise<void> {
    this.#caseId = caseId;
    if (this.#page && !this.#page.isClosed()) return this.goTo(caseId);
    const page = await this.#context.newPage();
    this.#page = page;
    await untilDone(async () => {
      await page.goto(`${this.#server}/case/${caseId}`, { timeout: 5000 });
      await this.#words().waitFor({ timeout: 3000 });
    }, MAX_OPENING_MS);
  }

  /** Goes to another case as a link would, without loading the page anew. */
  async goTo(caseId: string): Promise<void> {
    this.#caseId = caseId;
    await this.#page?.evaluate((path) => {
      history.pushState(null, '', path);
      dispatchEvent(new PopStateEvent('popstate'));
    }, `/case/${caseId}`);
    await this.#words()
      .waitFor({ timeout: 3000 })
      .catch(() => undefined);
  }

  /** Types a word at the end of the words of the open case; a box that is not there is left alone. */
  async type(): Promise<void> {
    const box = this.#words();
    if (!this.#page || !(await box.isVisible().catch(() => false))) return;
    const word = this.#ledger.word(this.#caseId);
    try {
      await box.press('Control+End', { timeout: 1500 });
      await box.pressSequentially(` ${word}`, { timeout: 3000 });
    } catch {
      // Half a word is no word; the page stood before the server came back.
      this.#ledger.forget(word);
    }
  }

  /** Kills the page a moment after the last key, and opens the case in another. */
  async kill(caseId: string): Promise<void> {
    await pause(250);
    await this.#page?.close();
    await this.open(caseId);
  }

  /** Tells the page that the network is back, as the system would. */
  async comeOnline(): Promise<void> {
    await this.#page?.evaluate(() => void dispatchEvent(new Event('online')));
  }

  /** Whether nothing of this browser waits to be sent. */
  async isDrained(): Promise<boolean> {
    const saved = this.#page?.getByText('Saved', { exact: true });
    return (await this.#chains()) === 0 && (await saved?.isVisible()) === true;
  }

  /** What the page says of its changes, for a report. */
  async describe(): Promise<string> {
    const said = this.#page?.getByRole('status').allInnerTexts();
    const chains = await this.#chains().catch(() => -1);
    return `${chains} chains, ${(await said?.catch(() => []))?.join(', ') ?? 'no page'}`;
  }

  /** Chains that this browser keeps, of all its pages. */
  #chains(): Promise<number> {
    if (!this.#page) return Promise.resolve(0);
    return this.#page.evaluate(
      () =>
        new Promise<number>((resolve) => {
          const opening = indexedDB.open('sounding');
          opening.onerror = () => resolve(-1);
          opening.onsuccess = () => {
            const db = opening.result;
            if (!db.objectStoreNames.contains('chains')) {
              resolve(0);
              return;
            }
            const count = db.transaction('chains').objectStore('chains').count();
            count.onsuccess = () => {
              db.close();
              resolve(count.result);
            };
          };
        }),
    );
  }

  /** The words of the open case as the page shows them. */
  shown(): Promise<string> {
    return this.#words().inputValue();
  }

  get caseId(): string {
    return this.#caseId;
  }

  async stop(): Promise<void> {
    await this.#context.close();
  }

  #words() {
    if (!this.#page) throw new Error('no page is open');
    return this.#page.getByRole('textbox', { name: "The enquirer's words" });
  }

  async #spoil(route: Route): Promise<void> {
    try {
      if (route.request().method() === 'POST') await this.#spoilSending(route);
      else if (['never-sent', 'answer-lost'].includes(this.#network.next())) await route.abort();
      else await route.continue();
    } catch {
      // The page was closed, or the server was killed while it answered.
      await route.abort().catch(() => undefined);
    }
  }

  async #spoilSending(route: Route): Promise<void> {
    const fault = this.#network.next();
    if (fault === 'never-sent') {
      await route.abort();
      return;
    }
    if (fault === 'slow') await pause(this.#network.slowMs());
    if (fault === 'sent-again-late')
      void pause(this.#network.lateMs())
        .then(() => route.fetch())
        .catch(() => undefined);
    const [response] = await Promise.all([
      route.fetch(),
      fault === 'doubled' ? route.fetch() : null,
    ]);
    if (fault === 'answer-lost') {
      await route.abort();
      return;
    }
    const body: unknown = await response.json();
    await route.fulfill({ response });
    this.#acknowledge(route, body);
  }

  #acknowledge(route: Route, body: unknown): void {
    const [answer, sent] = [
      appended.safeParse(body),
      sending.safeParse(route.request().postDataJSON()),
    ];
    const caseId = EVENTS.exec(route.request().url())?.[1] ?? '';
    if (!answer.success || !sent.success) return;
    const ids = new Set(sent.data.events.map(({ id }) => id));
    for (const { id } of answer.data.events)
      if (ids.has(id)) this.#ledger.acknowledged.set(id, caseId);
  }
}
