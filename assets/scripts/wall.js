// The scripts of the wall alone: what a class looks at.
import { one } from './core/dom.js';
import { look } from './core/look.js';
import { watchTouches } from './core/presence.js';
import { Running } from './core/running.js';
import { connect } from './wall/connect.js';

// It stays while the class is led; who touches it is there for the pages behind it too.
watchTouches(new Running(), () => true);
look();
connect(one(document, '[data-wall]', HTMLElement));
document.documentElement.dataset.connected = '';
