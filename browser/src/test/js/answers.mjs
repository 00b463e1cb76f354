// Answers questions with the compiled core: a line in, a line out.
import { createInterface } from 'node:readline';
import { answer } from '../../../target/classes/static/engine/core.js';

for await (const line of createInterface({ input: process.stdin })) {
  const { name, question, files } = JSON.parse(line);
  process.stdout.write(JSON.stringify(answer(name, question, files ?? null)) + '\n');
}
