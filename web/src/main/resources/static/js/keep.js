// A lifter's phone keeps "My training", the cards of the next seven days and the screen of a contest in them by itself, so that it starts
// and lifts without any signal.
// What is kept, how old it is and what waits to be sent stands on "My training". Another lifter's sign-in begins with an empty phone.

const CARDS = "yarbel-cards";
const PARTS = "yarbel-parts";
const STATE = "yarbel-kept";
const AGAIN_MS = 5 * 60 * 1000;

const account = document.getElementById("outbox")?.dataset.account ?? "";
const told = document.getElementById("kept-here");
let untrusted = false;

function state() {
  try {
    const kept = JSON.parse(localStorage.getItem(STATE) ?? "null");
    return kept?.account === account ? kept : { account, at: 0, cards: [] };
  } catch {
    return { account, at: 0, cards: [] };
  }
}

function remember(kept) {
  try {
    localStorage.setItem(STATE, JSON.stringify(kept));
  } catch {
    // the cards themselves are kept elsewhere; only how old they are is not known
  }
}

// A sign-in that ended in the middle of it ends it too: what was kept before stays, and how old it is stays true.
async function fetched(address, options) {
  const answer = await fetch(address, { ...options, redirect: "manual", credentials: "same-origin" });
  if (answer.type === "opaqueredirect") {
    throw new Error("signed out");
  }
  return answer;
}

// Puts a page into the phone with the moment it was kept, and the scripts and styles it needs. The page; null where there was none.
async function put(address, answer) {
  if (!answer.ok) {
    return null;
  }
  const page = (await answer.text()).replace(/<html (?:data-kept="[^"]*" )?/, `<html data-kept="${new Date().toISOString()}" `);
  await (await caches.open(CARDS)).put(location.origin + address, new Response(page, { status: 200, headers: answer.headers }));
  const kept = new DOMParser().parseFromString(page, "text/html");
  const parts = [...kept.querySelectorAll('link[rel="stylesheet"], script[src]')]
    .map((one) => one.getAttribute("href") ?? one.getAttribute("src")).filter((part) => part?.startsWith("/"))
    .concat(performance.getEntriesByType("resource").map((one) => new URL(one.name)).filter((one) => one.pathname.startsWith("/fonts/")).map((one) => one.pathname));
  const store = await caches.open(PARTS);
  for (const part of parts) {
    if (!(await store.match(part))) {
      await store.add(part);
    }
  }
  return kept;
}

// A contest within the week: its screen, and the odds by which it goes on without asking. Where they are kept.
async function putDay(address) {
  const page = await put(address, await fetched(address));
  if (page?.querySelector("#platform[data-lift]")) {
    const odds = await fetched(address + "/odds");
    if (odds.ok) {
      await (await caches.open(CARDS)).put(location.origin + address + "/odds", odds);
    }
  }
  return page ? [address, address + "/odds"] : [];
}

async function keep() {
  if (!("serviceWorker" in navigator) || !window.caches || document.documentElement.dataset.kept || !account) {
    return;
  }
  try {
    await navigator.serviceWorker.register("/sw.js");
  } catch (wrong) {
    // somebody went on past the warning: pages come, but a browser keeps nothing from where it does not trust
    untrusted = wrong.name === "SecurityError";
    tell();
    return;
  }
  const before = localStorage.getItem(STATE) ? state() : { account, at: 0, cards: [] };
  if (localStorage.getItem(STATE) && JSON.parse(localStorage.getItem(STATE)).account !== account) {
    await caches.delete(CARDS);
  }
  if (Date.now() - before.at < AGAIN_MS && document.body.dataset.here !== "me") {
    return;
  }
  const body = new URLSearchParams({ _csrf: document.querySelector('meta[name="csrf"]')?.content ?? "" });
  const answer = await fetched("/me/kept", { method: "POST", body });
  if (!answer.ok) {
    return;
  }
  const wanted = await answer.json();
  const mine = await fetched("/me");
  let full = false;
  const cards = [];
  const days = [];
  try {
    const start = await put("/me", mine);
    for (const link of start?.querySelectorAll('a[href^="/contests/"][href*="/platform/"]') ?? []) {
      days.push(...(await putDay(link.getAttribute("href"))));
    }
    for (const one of wanted) {
      const there = before.cards.find((card) => card.session === one.session);
      const address = `/sessions/${one.session}/card`;
      const stands = there?.stamp === one.stamp && (await caches.match(location.origin + address));
      if (stands || (await put(address, await fetched(address + "/kept")))) {
        cards.push(one);
      }
    }
  } catch (wrong) {
    full = wrong.name === "QuotaExceededError";
    if (!full) {
      throw wrong;
    }
  }
  const gone = before.cards.filter((card) => !wanted.some((one) => one.session === card.session));
  const store = await caches.open(CARDS);
  const past = (before.days ?? []).filter((address) => !days.includes(address));
  await Promise.all(gone.map((card) => `/sessions/${card.session}/card`).concat(past).map((address) => store.delete(location.origin + address)));
  remember({ account, at: Date.now(), cards, days, full: full ? wanted.length - cards.length : 0 });
  // asked of the browser once, so that it does not clear them when it runs short of room
  navigator.storage?.persist?.();
  tell();
}

function ago(at) {
  const minutes = Math.max(Math.round((Date.now() - at) / 60000), 0);
  if (minutes < 2) {
    return "just now";
  }
  if (minutes < 120) {
    return minutes + " minutes ago";
  }
  return minutes < 2880 ? Math.round(minutes / 60) + " hours ago" : Math.round(minutes / 1440) + " days ago";
}

const date = (day) => new Date(day + "T12:00:00").toLocaleDateString("en-GB", { weekday: "short", day: "numeric", month: "short" });

// What stands on this phone, in a sentence or two.
function tell() {
  if (!told) {
    return;
  }
  const kept = state();
  const waiting = window.yarbelOutbox?.waiting().length ?? 0;
  const said = [];
  if (kept.at > 0) {
    const contest = kept.days?.length > 0 ? " Your contest's screen is kept too." : "";
    said.push(kept.cards.length === 0 ? "This page is kept on this phone; there is no card in the next seven days." + contest
      : `Kept on this phone for when there is no signal: ${kept.cards.length === 1 ? "the card" : "the " + kept.cards.length + " cards"} up to ${date(kept.cards.at(-1).day)}, as of ${ago(kept.at)}.` + contest);
  }
  if (kept.full > 0) {
    said.push(`This phone has no room left: ${kept.full === 1 ? "one card is" : kept.full + " cards are"} not kept. Make room on it, then open this page again.`);
  }
  said.push(waiting === 0 ? "Nothing waits to be sent." : waiting === 1 ? "One entry waits to be sent." : waiting + " entries wait to be sent.");
  told.querySelector("p").textContent = said.join(" ");
  told.querySelector(".untrusted").hidden = !untrusted;
  told.hidden = kept.at === 0 && waiting === 0 && !untrusted;
}

tell();
if (document.documentElement.dataset.kept && told) {
  const note = document.getElementById("kept-note");
  if (note) {
    note.textContent = "No signal: this is the page as it was " + ago(Date.parse(document.documentElement.dataset.kept)) + ". Cards open, and what you log is kept.";
    note.hidden = false;
  }
}
document.addEventListener("yarbel:answered", tell);
document.addEventListener("yarbel:waits", tell);
window.addEventListener("online", () => keep().catch(() => {}));
keep().catch(() => {
  // without a signal what was kept before stays; it is tried again with the next page
});
