/**
 * A row that is chosen shows what can be done with it, without a new page; the row chosen before closes.
 * @param {HTMLAnchorElement} link carries data-from, the address that answers with the open row
 */
export function connect(link) {
  link.addEventListener('click', async (event) => {
    if (event.ctrlKey || event.metaKey || event.shiftKey) return;
    event.preventDefault();
    try {
      const response = await fetch(link.dataset.from, { headers: { 'X-Results-Only': '1' } });
      if (!response.ok || response.redirected) throw new Error(String(response.status));
      open(link.closest('li'), await response.text());
    } catch {
      location.assign(link.href); // the page itself says what is wrong
    }
  });
}

const closed = new WeakMap();

function open(row, html) {
  for (const other of row.parentElement.children) {
    if (closed.has(other)) {
      replace(other, closed.get(other));
    }
  }
  const before = row.cloneNode(true);
  const now = replaced(row, html);
  closed.set(now, before);
  now.querySelector('button, summary, a')?.focus();
}

function replace(row, element) {
  row.replaceWith(element);
  document.dispatchEvent(new CustomEvent('garden:added', { detail: element }));
}

function replaced(row, html) {
  const template = document.createElement('template');
  template.innerHTML = html.trim();
  const element = template.content.firstElementChild;
  replace(row, element);
  return element;
}
