import { all, data, maybe, one } from '../core/dom.js';

/** The faces of the player: one is shown at a time, and its title has the focus. */
export class Faces {
  /** @param {HTMLElement} root */
  constructor(root) {
    this.root = root;
    this.current = 'open';
    this.faces = all(root, '[data-face]', HTMLElement);
  }

  /** @param {string} name */
  show(name) {
    this.current = name;
    for (const face of this.faces) face.hidden = data(face, 'face') !== name;
    maybe(this.get(name), 'h1', HTMLElement)?.focus({ preventScroll: true });
    this.root.dataset.shows = name;
    window.scrollTo(0, 0);
  }

  /** @param {string} name */
  get(name) {
    return one(this.root, `[data-face="${name}"]`, HTMLElement);
  }

  /**
   * Puts words where a face has a place for them.
   * @param {string} face
   * @param {Record<string, string>} words by place
   */
  put(face, words) {
    for (const [place, text] of Object.entries(words)) {
      one(this.get(face), `[data-${place}]`, Element).textContent = text;
    }
  }
}
