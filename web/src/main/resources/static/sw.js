// Keeps opened cards and what they need on the phone, so that a card opens in a cellar without signal.
const CARDS = "yarbel-cards";
const PARTS = "yarbel-parts";

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

self.addEventListener("fetch", (event) => {
  const request = event.request;
  const url = new URL(request.url);
  if (request.method !== "GET" || url.origin !== self.location.origin) {
    return;
  }
  if (/^\/(css|js|fonts|webjars)\//.test(url.pathname)) {
    event.respondWith(part(request));
  } else if (request.mode === "navigate" && /^\/sessions\/\d+\/card$/.test(url.pathname)) {
    event.respondWith(card(request, url));
  }
});

async function part(request) {
  const kept = await caches.match(request);
  if (kept) {
    return kept;
  }
  const fresh = await fetch(request);
  if (fresh.ok) {
    (await caches.open(PARTS)).put(request, fresh.clone());
  }
  return fresh;
}

async function card(request, url) {
  const key = url.origin + url.pathname;
  try {
    const fresh = await fetch(request);
    if (fresh.ok && !fresh.redirected) {
      (await caches.open(CARDS)).put(key, fresh.clone());
    }
    return fresh;
  } catch (offline) {
    const kept = await caches.match(key);
    if (kept) {
      return kept;
    }
    throw offline;
  }
}
