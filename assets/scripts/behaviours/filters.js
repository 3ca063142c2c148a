/**
 * Finds while filters change: the results are asked for alone and put in place, the address follows.
 * @param {HTMLFormElement} form carries data-results, the selector of what is replaced
 */
export function connect(form) {
  let pending = null;
  let round = 0;

  const find = async () => {
    round += 1;
    const mine = round;
    const filled = [...new FormData(form)].filter(([, value]) => value !== '');
    const address = `${form.action}?${new URLSearchParams(filled)}`;
    try {
      const response = await fetch(address, { headers: { 'X-Results-Only': '1' } });
      if (response.ok && mine === round) {
        const template = document.createElement('template');
        template.innerHTML = await response.text();
        document.querySelector(form.dataset.results).replaceWith(template.content);
        history.replaceState(null, '', address);
      }
    } catch {
      // no network: what was found stays, the button tries the whole page
    }
  };
  form.addEventListener('input', () => {
    clearTimeout(pending);
    pending = setTimeout(find, 180);
  });
}
