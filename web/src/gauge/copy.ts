import { toClipboard } from '../parts/clipboard';

/** The words on a part of the page, to the clipboard. */
export function copyWords(from: HTMLElement): Promise<void> {
  // biome-ignore lint/performance/useDomNodeTextContent: lines as they stand on the screen are wanted
  return toClipboard(from.innerText);
}
