const KEY = 'loaded anew for';
const SOON_MS = 20_000;

/** Whether the page may be loaded anew now: not again and again if that does not help. */
export function mayReload(last: string | null, now: number): boolean {
  return last === null || now - Number(last) > SOON_MS;
}

/** An open tab that asks for a script of an older version loads itself anew, and says so once it is there. */
export function reloadAfterUpgrade() {
  window.addEventListener('vite:preloadError', (event) => {
    const now = Date.now();
    if (mayReload(sessionStorage.getItem(KEY), now)) {
      event.preventDefault();
      sessionStorage.setItem(KEY, String(now));
      sessionStorage.setItem('upgraded', 'yes');
      window.location.reload();
    }
  });
}

/** Whether this page was loaded anew because the application was upgraded; told once. */
export function wasUpgraded(): boolean {
  const said = sessionStorage.getItem('upgraded') === 'yes';
  sessionStorage.removeItem('upgraded');
  return said;
}
