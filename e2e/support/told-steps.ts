import fs from 'node:fs';
import path from 'node:path';
import { expect, type Page } from '@playwright/test';
import { choose } from '../../scripts/test-support/choose.mjs';
import { pixelsOf } from './mat.ts';
import { station, typePoint } from './workshop.ts';

/**
 * Steps of the builder's documentation, followed as they are written. In a step
 *
 * - `V` is a key, `12, 3 1/2` a place that is typed for the next point;
 * - click `12, 3` clicks the mat there;
 * - _Radius_ `20` types a figure, _Shape_ → _circle_ chooses, _Close it_ alone presses what is called so;
 * - **Stock** goes to a station.
 *
 * After a step, in a quoted line, everything written `so` is to be seen.
 */
type Token =
  | { readonly kind: 'key' | 'place' | 'click' | 'press' | 'station' | 'seen'; readonly text: string }
  | { readonly kind: 'type' | 'choose'; readonly text: string; readonly value: string };

const STATIONS = ['Stock', 'Parts', 'Scale', 'Pages', 'Boards', 'Cut list'];
const TOKEN = /(click |Click )?`([^`]+)`|_([^_]+)_(?:\s*→\s*_([^_]+)_|\s+`([^`]+)`)?|\*\*([^*]+)\*\*/g;

function tokensOf(text: string): readonly Token[] {
  return [...text.matchAll(TOKEN)].flatMap(([, click, code, label, option, value, bold]): readonly Token[] => {
    if (bold !== undefined) return STATIONS.includes(bold) ? [{ kind: 'station', text: bold }] : [];
    if (label !== undefined) {
      if (option !== undefined) return [{ kind: 'choose', text: label, value: option }];
      return value === undefined ? [{ kind: 'press', text: label }] : [{ kind: 'type', text: label, value }];
    }
    if (click) return [{ kind: 'click', text: code! }];
    return [{ kind: code!.includes(',') ? 'place' : 'key', text: code! }];
  });
}

/** The steps under a heading of a page of `docs/builder`. */
export function stepsOf(file: string, heading: string): readonly Token[] {
  const text = fs.readFileSync(path.resolve(import.meta.dirname, '../../docs/builder', file), 'utf8');
  const section = text.split(/^## /m).find((one) => one.startsWith(`${heading}\n`));
  if (section === undefined) throw new Error(`${file} has no heading "${heading}".`);
  const blocks = section
    .split('\n')
    .reduce<string[]>(
      (all, line) =>
        /^(\d+\. |\s*> )/.test(line) || all.length === 0 || line === ''
          ? [...all, line]
          : [...all.slice(0, -1), `${all.at(-1)} ${line.trim()}`],
      [],
    );
  const steps = blocks.flatMap((block): readonly Token[] => {
    if (/^\s*> /.test(block))
      return [...block.matchAll(/`([^`]+)`/g)].map(([, seen]) => ({ kind: 'seen', text: seen! }));
    return /^\d+\. /.test(block) ? tokensOf(block) : [];
  });
  if (steps.length === 0) throw new Error(`${file}, ${heading}, tells no steps.`);
  return steps;
}

const KEYS: Readonly<Record<string, string>> = { Esc: 'Escape', 'Ctrl+Z': 'Control+z' };
const numbers = (place: string): readonly [number, number] => {
  const [x, y] = place.split(',').map((one) =>
    one
      .trim()
      .split(' ')
      .reduce(
        (sum, term) =>
          sum + (term.includes('/') ? Number(term.split('/')[0]) / Number(term.split('/')[1]) : Number(term)),
        0,
      ),
  );
  return [x!, y!];
};

/** Follows steps as they are told. @param unitMm a unit of the airframe in mm, for places that are clicked */
export async function follow(page: Page, steps: readonly Token[], unitMm = 1): Promise<void> {
  const strip = page.getByRole('form', { name: 'Type the next point' });
  /** A field of the strip by the word before it; the unit behind it is of its label too. */
  const inTheStrip = (word: string) =>
    strip
      .locator('label')
      .filter({ hasText: new RegExp(`^\\s*${word}\\s`) })
      .locator('input');
  for (const [index, step] of steps.entries()) {
    switch (step.kind) {
      case 'key':
        await page.locator('body').press(KEYS[step.text] ?? step.text.toLowerCase());
        break;
      case 'place': {
        const [across, up] = step.text.split(',').map((one) => one.trim()) as [string, string];
        await typePoint(page, { across, up });
        break;
      }
      case 'click': {
        await page.locator('body').press('f');
        const [x, y] = numbers(step.text);
        await page.mouse.click(...(await pixelsOf(page))(x * unitMm, y * unitMm));
        break;
      }
      case 'type': {
        const inStrip = inTheStrip(step.text);
        const isInStrip = (await inStrip.count()) > 0;
        const field = isInStrip ? inStrip : page.getByLabel(step.text, { exact: true }).first();
        await field.fill(step.value);
        const next = steps[index + 1];
        const goesOn = isInStrip && next?.kind === 'type' && (await inTheStrip(next.text).count()) > 0;
        if (!goesOn) await field.press('Enter');
        break;
      }
      case 'choose':
        await choose(page, step.text, step.value, { exact: true });
        break;
      case 'press':
        await page
          .getByText(step.text, { exact: true })
          .or(page.getByRole('button', { name: step.text, exact: true }))
          .first()
          .click();
        break;
      case 'station':
        await station(page, step.text);
        break;
      case 'seen':
        await expect(page.locator('#app'), `after step ${index}`).toContainText(step.text);
    }
  }
}
