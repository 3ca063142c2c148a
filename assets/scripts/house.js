// The page of a tablet that the residents of a care home share.
import { connect } from './home/house.js';

const root = document.querySelector('[data-behaviour="house"]');
if (root instanceof HTMLElement) connect(root);
document.documentElement.dataset.connected = '';
