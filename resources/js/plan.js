import { dropFiles } from './pages/drop-files.js';
import { know } from './lib/vocabulary.js';
import { Page } from './page.js';

const data = JSON.parse(document.getElementById('plan-data').textContent);
know(data.vocabulary);
window.addEventListener('DOMContentLoaded', () => new Page(data));
dropFiles(data.plan);
