/**
 * The drawn frames of a movement, from its start to its end; `stops` is the frame of each still.
 * @typedef {{
 *   paint: Record<string, Record<string, string>>,
 *   stops: number[],
 *   frames: [number[], [string, string, (boolean|number)?][]][],
 * }} Book
 */

/**
 * @param {string} address
 * @returns {Promise<Book|null>}
 */
export async function fetchedBook(address) {
  try {
    const response = await fetch(address);
    return response.ok ? await response.json() : null;
  } catch {
    return null;
  }
}

/**
 * @param {Book} book
 * @param {number} frame
 */
export function layersOf(book, frame) {
  return book.frames[frame][1].map(([name, d, hole]) => ({
    d,
    paint: hole ? { ...book.paint[name], 'fill-rule': 'evenodd' } : book.paint[name],
  }));
}
