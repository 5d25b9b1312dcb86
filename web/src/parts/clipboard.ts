/** Words to the clipboard; on plain http browsers have only the old way. */
export async function toClipboard(words: string): Promise<void> {
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
