// Entries on their way: every page sends what waits on this phone, one after the other, and goes on by itself when the signal or
// the server is back. What was refused stands in a list with its figures until it is settled or cleared.

const WAITING = "yarbel-outbox";
const REFUSED = "yarbel-refused";
const PAUSES = [2, 4, 8, 15, 30, 60];

const box = document.getElementById("outbox");
const account = box?.dataset.account ?? "";
// an address without TLS has no randomUUID
const id = () => [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, "0")).join("");
const visit = id();

function read(name) {
  try {
    const all = JSON.parse(localStorage.getItem(name) || "[]");
    return Array.isArray(all) ? all : [];
  } catch {
    return [];
  }
}

// Whether it could be kept: a store may be full, or switched off.
function write(name, all) {
  try {
    if (all.length === 0) {
      localStorage.removeItem(name);
    } else {
      localStorage.setItem(name, JSON.stringify(all));
    }
    return true;
  } catch {
    return false;
  }
}

const mine = (name) => read(name).filter((entry) => entry.account === account);
const without = (name, gone) => read(name).filter((entry) => entry.id !== gone);
const place = (entry) => entry.url + " " + entry.place;

// Takes an entry: {url, body, key, place, words, panel}. One of the same key that waits is replaced, since it was corrected.
async function take(given) {
  const entry = { ...given, id: id(), account, visit };
  const others = read(WAITING).filter((other) => other.account !== account || !entry.key || other.key !== entry.key);
  said = "";
  if (write(WAITING, [...others, entry])) {
    await send();
    if (mine(WAITING).some((waiting) => waiting.id === entry.id)) {
      emit("waits", { entry });
    }
    return;
  }
  // nothing can be kept here: it goes out now, or stays in its form
  try {
    const answer = await post(entry);
    settle(entry, answer, answer.ok || answer.status < 500 ? await answer.text() : "");
    if (answer.status >= 500) {
      say("Not taken, and this phone keeps nothing: it is still in the form. Press again in a moment.");
    }
  } catch {
    say("No signal, and this phone keeps nothing: it is still in the form. Press again when there is signal.");
    emit("lost", { entry });
  }
}

const emit = (what, detail) => document.dispatchEvent(new CustomEvent("yarbel:" + what, { detail }));

let fresh = document.querySelector('meta[name="csrf"]')?.content ?? "";

function request(entry) {
  const body = new URLSearchParams(entry.body);
  body.set("_csrf", fresh);
  return fetch(entry.url, { method: "POST", body, headers: { "HX-Request": "true" }, redirect: "manual", credentials: "same-origin" });
}

// A page that was kept has an old token: a new one is asked for, and with it whose sign-in this is.
async function post(entry) {
  const answer = await request(entry);
  if (answer.status !== 403 && answer.type !== "opaqueredirect") {
    return answer;
  }
  const asked = await fetch("/token", { redirect: "manual", credentials: "same-origin", cache: "no-store" });
  if (asked.status >= 500) {
    return asked;
  }
  const told = asked.ok ? await asked.json() : null;
  if (!told || String(told.account) !== account) {
    return { ok: false, status: 401, text: async () => "" };
  }
  fresh = told.token;
  return request(entry);
}

let pause = 0;
let timer = 0;
function later(seconds) {
  clearTimeout(timer);
  const wait = Math.max(seconds || 0, PAUSES[Math.min(pause, PAUSES.length - 1)]);
  pause++;
  // two phones that lost the same server do not come back in step
  timer = setTimeout(send, wait * 1000 * (0.8 + 0.4 * Math.random()));
}

async function send() {
  if (!box) {
    return;
  }
  clearTimeout(timer);
  // one page at a time sends, or the order is lost
  if (navigator.locks) {
    await navigator.locks.request("yarbel-outbox", { ifAvailable: true }, async (lock) => lock ? through() : later());
  } else {
    await through();
  }
  show();
}

let sending = false;
async function through() {
  if (sending) {
    return;
  }
  sending = true;
  try {
    for (let entry = mine(WAITING)[0]; entry; entry = mine(WAITING)[0]) {
      let answer;
      try {
        answer = await post(entry);
      } catch {
        waits("No signal. ");
        return;
      }
      if (answer.status === 401) {
        waits("", "Sign in to send.");
        return;
      }
      if (comesLater(answer)) {
        waits("The records cannot be reached. ", "", Number(answer.headers?.get("Retry-After")));
        return;
      }
      const html = await answer.text();
      if (answer.status === 409 && !pageIn(html)) {
        waits("Somebody else wrote at the same moment. ");
        return;
      }
      write(WAITING, without(WAITING, entry.id));
      pause = 0;
      settle(entry, answer, html);
    }
    state = "";
  } finally {
    sending = false;
  }
}

// Whether the same may be taken when it is sent again, although nothing of it changed.
const comesLater = (answer) => answer.status >= 500 || answer.status === 429 || answer.status === 403;

// A conflict that is to be looked at comes with its page; without one two wrote at the same moment, and it is sent once more.
const pageIn = (html) => new DOMParser().parseFromString(html, "text/html").querySelector("#card, #platform, #room") !== null;

let state = "";
let ask = "";
function waits(why, then = "", seconds = 0) {
  state = why;
  ask = then;
  show();
  later(seconds);
}

// What became of an entry: taken, or refused and why. One that is refused while its page is open is asked about there.
function settle(entry, answer, html) {
  const others = read(REFUSED).filter((other) => other.account !== account || place(other) !== place(entry));
  if (answer.ok) {
    write(REFUSED, others);
  } else {
    const why = reason(entry, answer.status, html);
    write(REFUSED, [...others, { ...entry, why }]);
  }
  emit("answered", { entry, ok: answer.ok, html: answer.status === 404 || answer.status === 400 ? "" : html, here: entry.visit === visit });
  show();
}

const alerts = (within) => [...(within?.querySelectorAll('[role="alert"], .field-error') ?? [])]
  .map((one) => (one.querySelector("span") ?? one).textContent.trim()).filter((text) => text).join(" ");

function reason(entry, status, html) {
  if ((status === 404 || status === 400) && entry.page) {
    return "That is no longer there.";
  }
  if (status === 404 || status === 400) {
    return entry.panel ? "That set is no longer in the plan. Tell your coach." : "That session is no longer there. Tell your coach.";
  }
  const page = new DOMParser().parseFromString(html, "text/html");
  const panel = page.getElementById(entry.panel ? "panel-" + entry.panel : "part-" + entry.form);
  return alerts(panel) || entry.page && alerts(page) || "It was not taken.";
}

// ---- what is shown

// What was said of the last press, until the next one.
let said = "";
// Clips that wait on this phone, as far as signing out has asked.
let clipsLeft = 0;
function say(text) {
  said = text;
  show();
}

function show() {
  if (!box) {
    return;
  }
  const waiting = mine(WAITING);
  const note = document.getElementById("queue-note");
  const count = waiting.length === 1 ? "1 entry is" : waiting.length + " entries are";
  const kept = waiting.length === 0 || state === "" && ask === "" ? ""
    : state + count + " kept on this phone and will be sent" + (ask ? ". " + ask : waiting.length === 1 ? " by itself." : " by themselves.");
  const text = (said + " " + kept).trim();
  note.hidden = text === "";
  if (note.textContent !== text) {
    note.textContent = text;
  }
  const door = document.getElementById("queue-sign-in");
  door.hidden = ask === "" || waiting.length === 0;
  const list = document.getElementById("queue-refused");
  const refused = mine(REFUSED).filter((entry) => !asked(entry));
  list.replaceChildren(...refused.map(line));
  list.hidden = refused.length === 0;
  const question = document.getElementById("sign-out-question");
  question.hidden ||= waiting.length + mine(REFUSED).length + clipsLeft === 0;
  box.hidden = note.hidden && list.hidden && question.hidden;
}

// Whether it stands in its form on this page, with the question.
let formOf = "";
const asked = (entry) => formOf !== "" && formOf === entry.id;

function linkWords(entry) {
  if (entry.page) {
    return "Look at it";
  }
  return entry.panel ? "Put it into its set" : "Put it back into its form";
}

function line(entry) {
  const item = document.createElement("li");
  const words = document.createElement("b");
  words.textContent = "Not taken: " + entry.words + ".";
  const link = document.createElement("a");
  link.href = entry.page ?? entry.url.replace(/^(\/sessions\/\d+)\/.*$/, "$1/card") + "?set=" + entry.panel + "#refused-" + entry.id;
  link.textContent = linkWords(entry);
  const clear = document.createElement("button");
  clear.type = "button";
  clear.className = "link";
  clear.textContent = "Clear";
  clear.setAttribute("aria-label", "Clear: " + entry.words);
  clear.addEventListener("click", () => {
    write(REFUSED, without(REFUSED, entry.id));
    show();
  });
  const acts = document.createElement("span");
  acts.className = "acts";
  if (entry.panel || entry.form) {
    acts.append(link);
  }
  acts.append(clear);
  item.append(words, " " + entry.why, acts);
  return item;
}

// ---- signing out

const out = document.querySelector("form.who");
out?.addEventListener("submit", async (event) => {
  event.preventDefault();
  const left = () => mine(WAITING).length + mine(REFUSED).length;
  if (left() > 0) {
    await send();
  }
  const clips = await (window.yarbelClips?.count() ?? 0);
  clipsLeft = clips;
  if (left() + clips === 0) {
    await signOut();
    return;
  }
  const question = document.getElementById("sign-out-question");
  question.querySelector("span").textContent = waitsFor(left(), clips);
  question.hidden = false;
  box.hidden = false;
  // on a phone the menu would stand before the question
  out.closest("[popover]:popover-open")?.hidePopover();
  question.querySelector("button").focus();
});
document.getElementById("sign-out-anyway")?.addEventListener("click", signOut);

function waitsFor(entries, clips) {
  const all = entries + clips;
  let what = all + " entries and clips";
  if (clips === 0) {
    what = entries === 1 ? "One entry" : entries + " entries";
  } else if (entries === 0) {
    what = clips === 1 ? "One clip" : clips + " clips";
  }
  return what + " on this phone " + (all === 1 ? "is" : "are") + " not written down yet. Signing out drops " + (all === 1 ? "it." : "them.");
}

// Drops what is on the phone only when the house knows it: a phone that merely looked signed out would be worse.
async function signOut() {
  try {
    const answer = await fetch(out.action, { method: "POST", body: new URLSearchParams(new FormData(out)), redirect: "manual", credentials: "same-origin" });
    if (answer.ok || answer.type === "opaqueredirect") {
      forget();
      location.href = "/login?out";
      return;
    }
    say("This did not go through: you are still signed in, and nothing was dropped. Load the page again and try once more.");
  } catch {
    say("No signal: you are still signed in, and nothing was dropped. Sign out again when there is signal.");
  }
  out.closest("[popover]:popover-open")?.hidePopover();
}
document.getElementById("sign-out-stay")?.addEventListener("click", () => {
  document.getElementById("sign-out-question").hidden = true;
  show();
});

// Somebody who has signed out leaves nothing of theirs on the phone.
function forget() {
  write(WAITING, read(WAITING).filter((entry) => entry.account !== account));
  write(REFUSED, read(REFUSED).filter((entry) => entry.account !== account));
  window.yarbelClips?.forget();
  window.caches?.delete("yarbel-cards");
  window.caches?.delete("yarbel-parts");
  try {
    localStorage.removeItem("yarbel-kept");
  } catch {
    // nothing could be kept there
  }
}

window.addEventListener("online", () => { pause = 0; send(); });
document.addEventListener("visibilitychange", () => document.visibilityState === "visible" && send());
window.addEventListener("storage", (event) => (event.key === WAITING || event.key === REFUSED) && show());

// An address without TLS has no randomUUID.
function newKey() {
  const hex = [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, "0")).join("");
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, "$1-$2-$3-$4-$5");
}

// What a form says; the token is put in when it is sent.
function fields(form, pressed) {
  const body = new URLSearchParams(new FormData(form, pressed));
  body.delete("_csrf");
  body.delete("_once");
  return body;
}

// The page as the server last told it is kept with what it needs, so that it opens without signal and shows what was entered.
async function keepHere(part) {
  if (document.documentElement.dataset.kept || !("serviceWorker" in navigator)) {
    return;
  }
  const page = document.documentElement.cloneNode(true);
  page.querySelector("#" + part.id).replaceWith(part.cloneNode(true));
  page.querySelectorAll("#outbox :is(#queue-note, #queue-refused)").forEach((told) => told.replaceChildren());
  const worker = (await navigator.serviceWorker.ready).active;
  const parts = performance.getEntriesByType("resource").map((entry) => entry.name);
  worker?.postMessage({ card: location.pathname, page: "<!doctype html>\n" + page.outerHTML, parts });
}

window.yarbelOutbox = {
  newKey,
  fields,
  take,
  post,
  comesLater,
  send,
  waiting: () => mine(WAITING),
  refused: (wanted) => mine(REFUSED).find((entry) => entry.id === wanted),
  keepHere,
  asking: (wanted) => { formOf = wanted; show(); },
};
// Whose sign-in has ended sees on the form what waits: it is sent after it.
const there = document.getElementById("waits-here");
if (there && read(WAITING).length > 0) {
  there.textContent = (read(WAITING).length === 1 ? "One entry waits" : read(WAITING).length + " entries wait")
    + " on this phone. Sign in, and what is yours is sent by itself; nothing is lost.";
  there.hidden = false;
}
send();
