import { Outline } from './plan/outline.js';

const data = JSON.parse(document.getElementById('plan-data').textContent);
window.addEventListener('DOMContentLoaded', () => new Outline(data));
