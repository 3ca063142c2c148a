/**
 * The one element of a kind that a page has to have; a page without it is a fault, said with the selector.
 * @template {Element} T
 * @param {ParentNode} root
 * @param {string} selector
 * @param {new () => T} kind
 * @returns {T}
 */
export function one(root, selector, kind) {
  const found = maybe(root, selector, kind);
  if (found === null) throw new Error(`The page has no ${selector}.`);
  return found;
}

/**
 * @template {Element} T
 * @param {ParentNode} root
 * @param {string} selector
 * @param {new () => T} kind
 * @returns {T|null}
 */
export function maybe(root, selector, kind) {
  const found = root.querySelector(selector);
  return found instanceof kind ? found : null;
}

/**
 * @template {Element} T
 * @param {ParentNode} root
 * @param {string} selector
 * @param {new () => T} kind
 * @returns {T[]}
 */
export function all(root, selector, kind) {
  return [...root.querySelectorAll(selector)].filter(
    /** @returns {found is T} */ (found) => found instanceof kind,
  );
}

/**
 * The element an event happened in, or the nearest around it of a kind.
 * @template {Element} T
 * @param {Event} event
 * @param {string} selector
 * @param {new () => T} kind
 * @returns {T|null}
 */
export function around(event, selector, kind) {
  const found = event.target instanceof Element ? event.target.closest(selector) : null;
  return found instanceof kind ? found : null;
}

/**
 * What a page carries for its script; an attribute that is missing is empty.
 * @param {HTMLElement|SVGElement} element
 * @param {string} name
 */
export const data = (element, name) => element.dataset[name] ?? '';

/**
 * @template {keyof HTMLElementTagNameMap} N
 * @param {N} name
 * @param {Partial<HTMLElementTagNameMap[N]>} properties
 * @returns {HTMLElementTagNameMap[N]}
 */
export function made(name, properties) {
  return Object.assign(document.createElement(name), properties);
}

/**
 * @template {keyof SVGElementTagNameMap} N
 * @param {N} name
 * @param {Record<string, string|number>} attributes
 * @returns {SVGElementTagNameMap[N]}
 */
export function drawn(name, attributes) {
  const element = document.createElementNS('http://www.w3.org/2000/svg', name);
  for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, String(value));
  return element;
}

/**
 * The fields of a form as an address carries them: no files, nothing empty unless it is wanted.
 * @param {HTMLFormElement} form
 * @returns {[string, string][]}
 */
export function written(form) {
  /** @type {[string, string][]} */
  const fields = [];
  for (const [name, value] of new FormData(form)) {
    if (typeof value === 'string') fields.push([name, value]);
  }
  return fields;
}
