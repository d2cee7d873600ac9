// The stems that another program gives: a line each, word and stem. usage: node judge-stems.mjs english|german COUNT
import { createRequire } from 'node:module';
import snowball from 'snowball-stemmers';

const [language, count] = process.argv.slice(2);
const words = createRequire(import.meta.url)(`an-array-of-${language}-words`);
const stemmer = snowball.newStemmer(language);
for (let i = 0; i < Number(count); i++) {
    // Spread evenly over the list, each once.
    const word = words[Math.floor((i * words.length) / Number(count))].toLowerCase();
    console.log(`${word}\t${stemmer.stem(word)}`);
}
