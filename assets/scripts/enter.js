// The scripts of the page on which a device is let in.
import { one } from './core/dom.js';
import { connect } from './home/enter.js';

connect(one(document, '[data-behaviour="enter"]', HTMLElement));
document.documentElement.dataset.connected = '';
