/** The words on a part of the page, to the clipboard; on plain http browsers have only the old way. */
export async function copyWords(from: HTMLElement): Promise<void> {
  // biome-ignore lint/performance/useDomNodeTextContent: lines as they stand on the screen are wanted
  const words = from.innerText;
  if (navigator.clipboard) {
    return navigator.clipboard.writeText(words);
  }
  const area = document.createElement('textarea');
  area.value = words;
  document.body.append(area);
  area.select();
  document.execCommand('copy');
  area.remove();
}
