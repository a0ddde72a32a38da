// Live opens without a connection: a worker answers for it with what was seen last. Nothing is kept once the class has ended.
const KEPT = 'eager-bench-live';

const forget = async () => {
  await caches.delete(KEPT);
  const all = await navigator.serviceWorker.getRegistrations();
  await Promise.all(all.filter((one) => one.scope.includes('/live')).map((one) => one.unregister()));
};

const keep = async () => {
  await navigator.serviceWorker.register('/live-worker.js', { scope: window.location.pathname });
  const kept = await caches.open(KEPT);
  const parts = performance.getEntriesByType('resource').map((one) => one.name).filter((name) => name.startsWith(window.location.origin));
  const own = parts.filter((name) => /\/(css|js|vendor)\//.test(name));
  await kept.addAll([window.location.pathname, ...new Set(own)]);
};

const offline = (root) => {
  const live = root.querySelector('.live[data-page]');
  if (!live || !navigator.serviceWorker || !window.caches) return;
  const running = root.querySelector('.live-head');
  (running ? keep() : forget()).catch(() => {});
  let was = Boolean(running);
  root.addEventListener('redrawn', () => {
    const is = Boolean(root.querySelector('.live-head'));
    if (is === was) return;
    was = is;
    (is ? keep() : forget()).catch(() => {});
  });
};

export { offline };
