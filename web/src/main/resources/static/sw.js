// Keeps opened cards, the pages of a contest's day and what they need on the phone, so that they open in a cellar without signal; and
// answers with the lifter's own page where the start cannot be reached. What is kept ahead is put there by keep.js.
const CARDS = "yarbel-cards";
const PARTS = "yarbel-parts";

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

// The first card of a new browser was fetched before this script was there: the card asks for it to be kept.
self.addEventListener("message", (event) => {
  const parts = (event.data?.parts ?? []).map((part) => new URL(part, self.location.origin));
  const card = new URL(event.data?.card ?? "/", self.location.origin);
  if (isCard(card)) {
    event.waitUntil(Promise.all([event.data.page ? stand(card, event.data.page) : fresh(card), ...parts.filter(isPart).map((url) => part(new Request(url)))]).catch(() => {}));
  }
});

const isCard = (url) => url.origin === self.location.origin
  && /^\/sessions\/\d+\/card$|^\/contests\/\d+\/(platform\/\d+|warm-up|events)$/.test(url.pathname);
const isOdds = (url) => /^\/contests\/\d+\/platform\/\d+\/odds$/.test(url.pathname);
const isStart = (url) => url.origin === self.location.origin && (url.pathname === "/" || url.pathname === "/me");
const isPart = (url) => url.origin === self.location.origin && /^\/(css|js|fonts|webjars)\//.test(url.pathname);

self.addEventListener("fetch", (event) => {
  const request = event.request;
  const url = new URL(request.url);
  if (request.method !== "GET" || url.origin !== self.location.origin) {
    return;
  }
  if (isPart(url)) {
    event.respondWith(part(request));
  } else if (request.mode === "navigate" && isCard(url)) {
    event.respondWith(card(request, url));
  } else if (isOdds(url)) {
    event.respondWith(odds(request, url));
  } else if (request.mode === "navigate" && isStart(url)) {
    event.respondWith(start(request, url));
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
  try {
    const answer = await fetch(request);
    await keep(url, answer);
    return answer;
  } catch (offline) {
    return keptOr(url.origin + url.pathname, offline);
  }
}

// What a lifter's phone takes along of a contest: the newest, else as it was.
async function odds(request, url) {
  try {
    const answer = await fetch(request);
    if (answer.ok && !answer.redirected) {
      await (await caches.open(CARDS)).put(url.origin + url.pathname, answer.clone());
    }
    return answer;
  } catch (offline) {
    return keptOr(url.origin + url.pathname, offline);
  }
}

// A browser answers a page that redirects by itself: only the lifter's own page is kept, by the address it has.
async function start(request, url) {
  try {
    return await fetch(request);
  } catch (offline) {
    return keptOr(url.origin + "/me", offline);
  }
}

async function keptOr(address, offline) {
  const kept = await caches.match(address);
  if (kept) {
    return kept;
  }
  throw offline;
}

// The page as it stands after an answer: its headers are those it came with.
async function stand(url, page) {
  const before = await caches.match(url.origin + url.pathname);
  if (!before) {
    await fresh(url);
    return;
  }
  await keep(url, new Response(page, { status: 200, headers: before.headers }));
}

async function fresh(url) {
  await keep(url, await fetch(url.origin + url.pathname, { credentials: "same-origin" }));
}

// A kept card carries the moment it was kept, and shows it when it is opened from here.
async function keep(url, answer) {
  if (!answer.ok || answer.redirected) {
    return;
  }
  const page = (await answer.clone().text()).replace(/<html (?:data-kept="[^"]*" )?/, `<html data-kept="${new Date().toISOString()}" `);
  const kept = new Response(page, { status: 200, headers: answer.headers });
  await (await caches.open(CARDS)).put(url.origin + url.pathname, kept);
}
