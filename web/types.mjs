// Makes the front end's types from the server's own description. A moment, a day and a civil time are
// types of their own, told apart by the format of their schema.
import { writeFileSync } from 'node:fs';
import process from 'node:process';
import { URL } from 'node:url';
import openapiTS, { astToString } from 'openapi-typescript';
import ts from 'typescript';

const TIMES = { 'date-time': 'Moment', date: 'Day', 'civil-date-time': 'CivilTime' };

const out = process.argv[2] ?? 'src/api/schema.gen.d.ts';
const tree = await openapiTS(new URL('openapi.json', import.meta.url), {
  alphabetize: true,
  inject: `import type { ${Object.values(TIMES).join(', ')} } from './time'`,
  transform(schema) {
    const name = TIMES[schema.format];
    if (!name) return undefined;
    const time = ts.factory.createTypeReferenceNode(name);
    const optional = Array.isArray(schema.type) && schema.type.includes('null');
    const nothing = ts.factory.createLiteralTypeNode(ts.factory.createNull());
    return optional ? ts.factory.createUnionTypeNode([time, nothing]) : time;
  },
});
writeFileSync(
  out,
  `/** Made from openapi.json by \`make types\`: change the server, not this file. */\n\n${astToString(tree)}`,
);
