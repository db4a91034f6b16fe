/** Keeps the application itself for use without a connection. */
export function registerServiceWorker(): void {
  if (
    process.env.NODE_ENV !== 'production' ||
    typeof navigator === 'undefined' ||
    !('serviceWorker' in navigator)
  )
    return;
  const register = () =>
    navigator.serviceWorker.register('/sw.js').catch(() => {
      // without it the application works all the same while the server can be reached
    });
  if (document.readyState === 'complete') void register();
  else window.addEventListener('load', () => void register());
}
