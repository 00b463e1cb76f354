import { expect, it } from 'vitest';
import glossary from '../../../docs/glossary.md?raw';

/** What the glossary says is not said. */
const BLACK = glossary
  .split('\n')
  .filter((line) => line.startsWith('| ') && !line.startsWith('| say'))
  .flatMap((line) => [...(line.split('|')[2] ?? '').matchAll(/`([^`]+)`/g)].map((found) => found[1] ?? ''));

const COMPONENTS = import.meta.glob<string>('/src/**/*.svelte', {
  query: '?raw',
  import: 'default',
  eager: true,
});
const SCRIPTS = import.meta.glob<string>(['/src/**/*.ts', '!/src/**/*.test.ts', '!/src/**/api.d.ts'], {
  query: '?raw',
  import: 'default',
  eager: true,
});
const JAVA = import.meta.glob<string>('../../../{core,app,cli,document}/src/main/java/**/*.java', {
  query: '?raw',
  import: 'default',
  eager: true,
});

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
  const all = (files: Record<string, string>, texts: (code: string) => string[]) =>
    Object.entries(files).map(([file, code]) => [file, texts(code)] as const);
  const shown = [...all(COMPONENTS, textsOf), ...all(SCRIPTS, javaTexts), ...all(JAVA, javaTexts)];
  expect(shown.length).toBeGreaterThan(300);
  const said = shown.flatMap(([file, texts]) => found(texts, word).map((text) => `${file}: ${text}`));
  // The demo's seed bank is a bank of seeds.
  expect(said.filter((one) => !one.includes('seed bank'))).toEqual([]);
});
