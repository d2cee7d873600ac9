import { byId } from './lib/dom.js';
byId('print').addEventListener('click', () => print());
