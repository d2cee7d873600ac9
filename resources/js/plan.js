import { dropFiles } from './pages/drop-files.js';
import { Page } from './page.js';

const data = JSON.parse(document.getElementById('plan-data').textContent);
window.addEventListener('DOMContentLoaded', () => new Page(data));
dropFiles(data.plan);
