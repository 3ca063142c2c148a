// The scripts of the player alone: a sitting opens fast, and without a network from what is kept.
import { one } from './core/dom.js';
import { look } from './core/look.js';
import { watchTouches } from './core/presence.js';
import { Running } from './core/running.js';
import { connect } from './player/play.js';

// The sitting stays while it runs; who touches it is there for the pages behind it too.
watchTouches(new Running(), () => true);
look();
connect(one(document, '[data-behaviour="play"]', HTMLElement));
document.documentElement.dataset.connected = '';
