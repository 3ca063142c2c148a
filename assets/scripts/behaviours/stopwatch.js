/** Start, then stop: whole seconds go into the field before the button; it stops by itself at the longest time. */
export function connect(button) {
  const field = button.parentElement.querySelector('input');
  const longest = Number(button.dataset.max);
  let started = null;
  let timer = null;
  const seconds = () => Math.min(longest, Math.floor((performance.now() - started) / 1000));
  const stop = () => {
    clearInterval(timer);
    field.value = String(seconds());
    started = null;
    button.textContent = 'Start';
    field.dispatchEvent(new Event('input', { bubbles: true }));
  };
  button.hidden = false;
  button.addEventListener('click', () => {
    if (started !== null) {
      stop();
      return;
    }
    started = performance.now();
    button.textContent = 'Stop 0';
    timer = setInterval(() => {
      button.textContent = `Stop ${seconds()}`;
      if (seconds() >= longest) {
        stop();
      }
    }, 200);
  });
}
