// Writes src/api/enumWords.ts: the closed lists of the core in the words of the floor, as the API's description has them.
import { readFileSync, writeFileSync } from 'node:fs';

const description = JSON.parse(readFileSync('src/api/openapi.json', 'utf-8'));
const words = Object.fromEntries(
  Object.entries(description['x-words']).map(([list, pairs]) => [list, Object.fromEntries(pairs)]),
);
writeFileSync(
  'src/api/enumWords.ts',
  `/** Made from the API's description by npm run types. */\nexport const floor = ${JSON.stringify(words, null, 2)} as const;\n\n/** Which of them a rule of the core is about. */\nexport const rules = ${JSON.stringify(description['x-rules'], null, 2)} as const;\n`,
);
