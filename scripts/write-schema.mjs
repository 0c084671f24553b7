// Writes the JSON Schema of the design document into docs/, from the schema that reads designs.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';
import { ROOT } from './ready.mjs';

const { outputFiles } = await build({
  stdin: {
    contents: `import { z } from 'zod'; import { designSchema } from './src/core/design/design-schema.ts';
      export const schema = z.toJSONSchema(designSchema);`,
    resolveDir: ROOT,
    loader: 'ts',
  },
  bundle: true,
  write: false,
  format: 'esm',
  platform: 'node',
});
const code = Buffer.from(outputFiles[0].text).toString('base64');
const { schema } = await import(`data:text/javascript;base64,${code}`);
const document = { $id: 'vetro-design.schema.json', title: 'Vetro design document', ...schema };
writeFileSync(join(ROOT, 'docs/design.schema.json'), `${JSON.stringify(document, null, 2)}\n`);
