import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';

const ROOT = join(import.meta.dirname, '../../..');

/** What the glossary says is not said. */
const BLACK = readFileSync(join(ROOT, 'docs/glossary.md'), 'utf8')
  .split('\n')
  .filter((line) => line.startsWith('| ') && !line.startsWith('| say'))
  .flatMap((line) => [...(line.split('|')[2] ?? '').matchAll(/`([^`]+)`/g)].map((found) => found[1] ?? ''));

function files(folder: string, end: string): string[] {
  return readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith(end) && !name.includes('.test.') && !name.endsWith('api.d.ts'))
    .map((name) => join(ROOT, folder, name));
}

/** Literals with a space in them are texts; single words are names in code and documents. */
const literals = (code: string) =>
  [...code.matchAll(/"((?:[^"\\\n]|\\.)*)"|'((?:[^'\\\n]|\\.)*)'|`((?:[^`\\]|\\.)*)`/g)]
    .map((found) => (found[1] ?? found[2] ?? found[3] ?? '').replace(/\$\{[^}]*\}/g, '…'))
    .filter((text) => text.trim().includes(' '));

/** What a component shows: its texts, and the literals of its script and its attributes. */
function textsOf(component: string): string[] {
  const script = /<script[^>]*>([\s\S]*?)<\/script>/g;
  const markup = component
    .replace(script, '')
    .replace(/<style>[\s\S]*?<\/style>/g, '')
    .replace(/<!--[\s\S]*?-->/g, '');
  const scripts = [...component.matchAll(script)].map((found) => found[1] ?? '').join('\n');
  const between = markup.replace(/\{[^{}]*\}/g, ' ').match(/>[^<>{}]+</g) ?? [];
  const attributes = [...markup.matchAll(/(?:aria-label|title|label|placeholder)="([^"]*)"/g)];
  return [
    ...between.map((text) => text.slice(1, -1)),
    ...attributes.map((found) => found[1] ?? ''),
    ...literals(scripts.replace(/\/\*[\s\S]*?\*\/|\/\/.*/g, '')),
    ...literals(markup),
  ];
}

const javaTexts = (code: string) => literals(code.replace(/\/\*[\s\S]*?\*\/|^\s*\/\/.*$/gm, ''));

function found(texts: string[], word: string): string[] {
  const edge = (at: string) => (/\w/.test(at) ? '\\b' : '');
  const plain = word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
  const asWord = new RegExp(edge(word.charAt(0)) + plain + edge(word.charAt(word.length - 1)), 'i');
  return texts.filter((text) => asWord.test(text));
}

it('has a black list, and finds what is on it', () => {
  expect(BLACK).toContain('wish');
  expect(found(textsOf('<p title="a wish of it">{one} was not told<b></b></p>'), 'wish')).not.toEqual([]);
  expect(found(textsOf('<p>{one} was not told<b></b></p>'), 'not told')).toHaveLength(1);
  expect(found(javaTexts('/** wish */ say("its wish is off"); get("wish");'), 'wish')).toEqual([
    'its wish is off',
  ]);
  expect(found(['seeding of clouds'], 'seed')).toEqual([]);
});

it.each(BLACK)('nobody says “%s”', (word) => {
  const shown = [
    ...files('web/src', '.svelte').map((file) => [file, textsOf(readFileSync(file, 'utf8'))] as const),
    ...files('web/src', '.ts').map((file) => [file, javaTexts(readFileSync(file, 'utf8'))] as const),
    ...['core', 'app', 'cli', 'document'].flatMap((module) =>
      files(`${module}/src/main/java`, '.java').map(
        (file) => [file, javaTexts(readFileSync(file, 'utf8'))] as const,
      ),
    ),
  ];
  expect(shown.length).toBeGreaterThan(300);
  const said = shown.flatMap(([file, texts]) => found(texts, word).map((text) => `${file}: ${text}`));
  // The demo's seed bank is a bank of seeds.
  expect(said.filter((one) => !one.includes('seed bank'))).toEqual([]);
});
