import { spawn } from 'node:child_process';
import { chromium, type Page } from '@playwright/test';
import { ticketHall } from '../tests/demo-plan';
import { thousandRows } from './thousand.mts';
import { tell } from './timing.mts';

const PORT = 4313;
const BASE = `http://localhost:${PORT}`;
const KEYSTROKES = 40;

const toStation = (page: Page, name: string) =>
  page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('button', { name: new RegExp(name) })
    .click();

/** Type into a field again and again: from each keystroke to the frame after what it changes has changed. */
const keystrokes = (page: Page, field: string, watched: string, texts: string[]): Promise<number[]> =>
  page.evaluate(
    async ({ field, watched, texts }) => {
      const setValue = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
      const input = document.querySelector<HTMLInputElement>(field)!;
      const words = () => (watched === field ? input.value : document.querySelector(watched)?.textContent);
      input.focus();
      const times: number[] = [];
      for (const text of texts) {
        const before = words();
        const start = performance.now();
        setValue.call(input, text);
        input.dispatchEvent(new Event('input', { bubbles: true }));
        times.push(
          await new Promise<number>((resolve) => {
            const look = () =>
              words() !== before || watched === field
                ? requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - start), 0))
                : setTimeout(look, 0);
            look();
          }),
        );
        await new Promise((resolve) => setTimeout(resolve, 120));
      }
      return times;
    },
    { field, watched, texts },
  );

async function typing(page: Page): Promise<void> {
  await page.goto(`${BASE}/jobs/demo-luggage-hall`);
  await toStation(page, 'Picks');
  await page.waitForTimeout(3000);
  await page.evaluate(() => document.querySelectorAll('aside input')[2]!.setAttribute('data-bench', ''));
  const texts = Array.from({ length: KEYSTROKES }, (_, i) => (3.25 + i * 0.01).toFixed(2));
  tell('typing to verdict', await keystrokes(page, '[data-bench]', '[data-check="rigging.tilt"]', texts), 50);
}

/** A thousand members pasted: how soon the preview stands, and what a keystroke takes in the list then. */
async function thousand(page: Page): Promise<void> {
  const made = await fetch(`${BASE}/api/jobs`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(ticketHall()) });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`${BASE}/jobs/${id}`);
  await toStation(page, 'Steel');
  await page.waitForTimeout(2000);
  await page.getByRole('button', { name: 'Paste or import' }).click();
  await page.getByLabel('Or paste the cells here').waitFor();
  const preview = await page.evaluate(async (text) => {
    const area = document.querySelector('textarea')!;
    const start = performance.now();
    Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')!.set!.call(area, text);
    area.dispatchEvent(new Event('input', { bubbles: true }));
    while (!document.body.textContent!.includes('1000 new')) await new Promise((resolve) => setTimeout(resolve, 0));
    await new Promise((resolve) => requestAnimationFrame(resolve));
    return performance.now() - start;
  }, thousandRows());
  tell('1,000 members pasted to preview', [preview], 2000);
  await page.getByRole('button', { name: 'Take 1000' }).click();
  await page.locator('[data-member="B1"]').waitFor();
  await page.waitForTimeout(3000);
  const texts = Array.from({ length: KEYSTROKES }, (_, i) => (3 + i * 0.1).toFixed(1));
  tell('a keystroke in the list of 1,000', await keystrokes(page, '[aria-label="Length of B1"]', '[aria-label="Length of B1"]', texts), 100);
  const entered: number[] = [];
  for (const text of texts.slice(0, 12)) {
    const cell = page.getByLabel('Length of B1', { exact: true });
    await cell.fill(text);
    entered.push(
      await page.evaluate(async () => {
        const cell = document.querySelector<HTMLInputElement>('[aria-label="Length of B1"]')!;
        const words = () => document.querySelector('[data-member="B1"] button')?.textContent;
        const before = words();
        const start = performance.now();
        cell.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
        while (words() === before && performance.now() - start < 3000) await new Promise((resolve) => setTimeout(resolve, 0));
        await new Promise((resolve) => requestAnimationFrame(resolve));
        return performance.now() - start;
      }),
    );
    await page.waitForTimeout(200);
  }
  tell('Enter in the list of 1,000 to its new weight', entered, 100);
}

export async function browser(): Promise<void> {
  const server = spawn('npx', ['--no-install', 'next', 'start', '--hostname', '127.0.0.1', '--port', String(PORT)], { stdio: 'ignore', detached: true });
  try {
    for (let i = 0; i < 100; i += 1) {
      const up = await fetch(`${BASE}/api/openapi.json`).then(
        (response) => response.ok,
        () => false,
      );
      if (up) break;
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
    const chrome = await chromium.launch({
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
    });
    const page = await chrome.newPage({ viewport: { width: 1280, height: 800 } });
    // The compiler that runs this file marks functions with a helper of its own, which the page does not have.
    await page.addInitScript('globalThis.__name = (made) => made;');
    await typing(page);
    await thousand(page);
    await chrome.close();
  } finally {
    if (server.pid) process.kill(-server.pid);
  }
}
