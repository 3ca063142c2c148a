// The scripts of the pages at home.
import { one } from './core/dom.js';
import { Running } from './core/running.js';
import { Home } from './home/home.js';
import { look } from './core/look.js';
import { Keeper } from './player/keeper.js';

const root = one(document, '[data-behaviour="home"]', HTMLElement);
look();
try {
  await new Home(root, new Running(), await Keeper.open()).open();
} catch {
  one(root, '[data-opening]', HTMLElement).textContent =
    'This browser keeps nothing. Use another one, so that nothing is lost.';
}
document.documentElement.dataset.connected = '';
