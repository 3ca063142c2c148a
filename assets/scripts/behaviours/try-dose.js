/**
 * Shows what a dose does to the meters while it is typed; nothing is kept until the button is pressed.
 * @param {HTMLFormElement} form carries data-meters, the address that answers with the meters
 */
export function connect(form) {
  const meters = document.getElementById('meters');
  let pending = null;
  let round = 0;

  const ask = async () => {
    round += 1;
    const mine = round;
    const fields = new FormData(form);
    fields.delete('_token');
    try {
      const response = await fetch(`${form.dataset.meters}?${new URLSearchParams(fields)}`);
      if (response.ok && mine === round) {
        meters.innerHTML = await response.text();
      }
    } catch {
      // no network: the meters stay as they are
    }
  };
  form.addEventListener('input', () => {
    clearTimeout(pending);
    pending = setTimeout(ask, 200);
  });
}
