// Clips on their way: kept on this device until there is signal, sent in pieces from whatever page is open, going on where they were
// broken off. What was refused stands with why until it is cleared.

const box = document.getElementById("clip-box");
const account = document.getElementById("outbox")?.dataset.account ?? "";
const PIECE = 1 << 20;
const NOT_TAKEN = { 507: "There is no room on the disk. Tell whoever looks after the machine." };
const PAUSES = [3, 6, 12, 30, 60];

// ---- what is kept on this device

let opened = null;
function base() {
  opened ??= new Promise((done, fail) => {
    const asked = indexedDB.open("yarbel-clips", 1);
    asked.onupgradeneeded = () => asked.result.createObjectStore("clips", { keyPath: "key" });
    asked.onsuccess = () => done(asked.result);
    asked.onerror = () => fail(asked.error);
  });
  return opened;
}

async function store(mode, work) {
  const transaction = (await base()).transaction("clips", mode);
  const asked = work(transaction.objectStore("clips"));
  return new Promise((done, fail) => {
    transaction.oncomplete = () => done(asked?.result);
    transaction.onerror = transaction.onabort = () => fail(transaction.error);
  });
}

const all = async () => ((await store("readonly", (clips) => clips.getAll())) ?? []).filter((clip) => clip.account === account);
const keep = (clip) => store("readwrite", (clips) => clips.put(clip));
const drop = (key) => store("readwrite", (clips) => clips.delete(key));

// ---- what is filmed or chosen

document.addEventListener("change", async (event) => {
  const input = event.target.closest?.("input.add-clip");
  const file = input?.files?.[0];
  if (!file) {
    return;
  }
  const { session, slot, part, set, words } = input.dataset;
  input.value = "";
  try {
    await keep({ key: window.yarbelOutbox.newKey(), account, session, slot, part, set, words, file, size: file.size, sent: 0, why: "" });
  } catch {
    say("This phone has no room to keep the clip. Send it when there is signal, or film a shorter one.");
    return;
  }
  await show();
  pump();
});

// ---- what is sent

let fresh = document.querySelector('meta[name="csrf"]')?.content ?? "";

// A page that was kept has an old token: a new one is asked for, and with it whose sign-in this is.
async function ask(url, options) {
  const send = () => fetch(url, { ...options, redirect: "error", credentials: "same-origin", headers: { ...options.headers, "X-CSRF-TOKEN": fresh } });
  const answer = await send();
  if (answer.status !== 403) {
    return answer;
  }
  const told = await fetch("/token", { redirect: "error", credentials: "same-origin", cache: "no-store" }).then((one) => one.ok ? one.json() : null);
  if (!told || String(told.account) !== account) {
    throw new Error("signed out");
  }
  fresh = told.token;
  return send();
}

let pause = 0;
let timer = 0;
function later() {
  clearTimeout(timer);
  timer = setTimeout(pump, PAUSES[Math.min(pause++, PAUSES.length - 1)] * 1000);
}

let pumping = false;
async function pump() {
  if (!box || pumping) {
    return;
  }
  pumping = true;
  try {
    const run = async (lock) => lock === null ? undefined : through();
    await (navigator.locks ? navigator.locks.request("yarbel-clips", { ifAvailable: true }, run) : through());
  } catch {
    later();
  } finally {
    pumping = false;
    await show();
  }
}

async function through() {
  for (const clip of (await all()).filter((one) => one.why === "")) {
    const begun = await ask("/sessions/" + clip.session + "/clips", { method: "POST", body: beginning(clip) });
    let told = await reading(clip, begun);
    while (told && told.clip === null) {
      clip.sent = told.received;
      await show(clip);
      const piece = clip.file.slice(told.received, told.received + PIECE);
      told = await reading(clip, await ask("/clips/uploads/" + clip.key + "?at=" + told.received, { method: "PUT", body: await piece.arrayBuffer(),
        headers: { "Content-Type": "application/octet-stream" } }));
    }
    if (told) {
      await drop(clip.key);
      document.dispatchEvent(new CustomEvent("yarbel:clip", { detail: { session: clip.session } }));
    }
  }
  pause = 0;
}

function beginning(clip) {
  const body = new URLSearchParams({ key: clip.key, bytes: String(clip.size) });
  if (clip.slot) {
    body.set("slot", clip.slot);
    body.set("part", clip.part);
    body.set("set", clip.set);
  }
  return body;
}

// How far it is; nothing where it was refused. What may be over in a moment is tried again.
async function reading(clip, answer) {
  if (answer.ok) {
    return answer.json();
  }
  if (answer.status >= 500 && answer.status !== 507 || answer.status === 429 || answer.status === 401 || answer.status === 403) {
    throw new Error("later");
  }
  clip.why = NOT_TAKEN[answer.status] ?? "Its session is no longer there. Tell your coach.";
  if (answer.status === 422) {
    clip.why = (await answer.json()).refused;
  }
  await keep(clip);
  return null;
}

// ---- what is shown

let said = "";
function say(text) {
  said = text;
  show();
}

async function show(now) {
  if (!box) {
    return;
  }
  let clips = [];
  try {
    clips = await all();
  } catch {
    // nothing can be kept here, so nothing waits
  }
  const waiting = clips.filter((clip) => clip.why === "");
  const note = box.querySelector("#clip-note");
  const count = waiting.length === 1 ? "1 clip is" : waiting.length + " clips are";
  const where = now ? " on the way." : " kept on this phone and will be sent when there is signal.";
  note.textContent = said || (waiting.length === 0 ? "" : count + where);
  note.hidden = note.textContent === "";
  const bar = box.querySelector("progress");
  bar.hidden = !now;
  if (now) {
    bar.value = now.sent / now.size;
    bar.textContent = Math.round(100 * now.sent / now.size) + " %";
  }
  box.querySelector("ul").replaceChildren(...clips.filter((clip) => clip.why !== "").map(line));
  box.hidden = note.hidden && bar.hidden && box.querySelectorAll("li").length === 0;
}

function line(clip) {
  const item = document.createElement("li");
  const words = document.createElement("b");
  words.textContent = "Clip not taken" + (clip.words ? ", " + clip.words : "") + ".";
  const clear = Object.assign(document.createElement("button"), { type: "button", className: "link", textContent: "Clear" });
  clear.addEventListener("click", async () => {
    await drop(clip.key);
    show();
  });
  item.append(words, " " + clip.why + " ", clear);
  return item;
}

window.yarbelClips = {
  count: async () => (await all().catch(() => [])).length,
  forget: async () => { for (const clip of await all().catch(() => [])) { await drop(clip.key); } },
};

window.addEventListener("online", () => { pause = 0; pump(); });
document.addEventListener("visibilitychange", () => document.visibilityState === "visible" && pump());
if (box && "indexedDB" in window) {
  show().then(pump);
}
