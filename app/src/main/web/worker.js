// Keeps bench mode and what it is made of in the browser, so that a check can be opened and logged without a connection.
const KEPT = "vivarium-bench-1";

const isBench = (url) => /^\/batches\/[^/]+\/check$/.test(url.pathname);
const isAsset = (url) => url.pathname.startsWith("/assets/");

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

self.addEventListener("fetch", (event) => {
  const url = new URL(event.request.url);
  if (event.request.method !== "GET" || url.origin !== self.location.origin) {
    return;
  }
  if (isAsset(url)) {
    event.respondWith(keptFirst(event.request));
  } else if (isBench(url)) {
    event.respondWith(freshFirst(event.request));
  }
});

/** Assets never change under their address. */
async function keptFirst(request) {
  const cache = await caches.open(KEPT);
  const kept = await cache.match(request);
  if (kept) {
    return kept;
  }
  const fresh = await fetch(request);
  if (fresh.ok) {
    await cache.put(request, fresh.clone());
  }
  return fresh;
}

/** Pages come fresh while there is a connection, and as last seen while there is none. */
async function freshFirst(request) {
  const cache = await caches.open(KEPT);
  try {
    const fresh = await fetch(request);
    if (fresh.ok && !fresh.redirected) {
      await cache.put(request, fresh.clone());
    }
    return fresh;
  } catch (e) {
    const kept = await cache.match(request);
    if (kept) {
      return kept;
    }
    throw e;
  }
}
