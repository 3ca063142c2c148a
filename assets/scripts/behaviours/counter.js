/** A button that counts one into the field before it. */
export function connect(button) {
  const field = button.parentElement.querySelector('input');
  button.hidden = false;
  button.addEventListener('click', () => {
    field.value = String(
      Math.min(Number(button.dataset.max), (Number.parseInt(field.value, 10) || 0) + 1),
    );
    field.dispatchEvent(new Event('input', { bubbles: true }));
  });
}
