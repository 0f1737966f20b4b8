/** Writes the JSON Schema of the project file into the documentation. */
import fs from 'node:fs';
import path from 'node:path';
import { projectSchemaText } from '@grain-fold/contract/schema';

fs.writeFileSync(path.join(import.meta.dirname, '../docs/project-file.schema.json'), projectSchemaText());
