// The scripts of the player alone: a sitting opens fast, and without a network from what is kept.
import { one } from './core/dom.js';
import { connect } from './player/play.js';

connect(one(document, '[data-behaviour="play"]', HTMLElement));
document.documentElement.dataset.connected = '';
