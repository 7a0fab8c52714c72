// The Platform on a phone: attempts and results go out through the outbox, and the page goes on without a signal by looking up what it
// took along. It works out no odds and no load. The warm-up room shifts what is due, and tells when it is.

const outbox = window.yarbelOutbox;
const { tone, buzz } = window.yarbelSignals;
const LOOK_AGAIN_MS = 10000;
const SLOW_MS = 700;

const root = () => document.getElementById("platform") ?? document.getElementById("room");
const mine = (entry) => new URL(entry.url, location.origin).pathname.startsWith(`/contests/${root().dataset.contest}/`) && entry.page === location.pathname;

function start() {
  if (!root()) {
    wire();
    return;
  }
  document.addEventListener("submit", onSubmit);
  document.addEventListener("click", onClick);
  document.addEventListener("yarbel:answered", onAnswered);
  document.addEventListener("yarbel:waits", ({ detail }) => mine(detail.entry) && overlay());
  document.addEventListener("yarbel:lost", ({ detail }) => mine(detail.entry) && load());
  wire();
  outbox.keepHere(root());
  takeAlong();
  overlay();
  told();
  tick();
  setInterval(tick, 500);
  setInterval(lookAgain, LOOK_AGAIN_MS);
  document.addEventListener("visibilitychange", lookAgain);
}

// A list may come from a file: it is put into its field, to be looked at first. Of one too long, enough for the server to say so.
function wire() {
  document.addEventListener("change", async ({ target }) => {
    const into = target.dataset?.into;
    if (into && target.files[0]) {
      const field = document.getElementById(into);
      field.value = (await target.files[0].text()).slice(0, field.maxLength + 1);
    }
  });
}

// A page from the phone says how old it is.
function told() {
  const kept = document.documentElement.dataset.kept;
  const note = document.getElementById("kept-note");
  if (kept && note) {
    note.textContent = "No signal: this is as it was at " + new Date(kept).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" })
      + ". What you enter is kept and sent by itself.";
    note.hidden = false;
  }
}

// ---- sending

function onSubmit(event) {
  const form = event.target;
  if (form.matches("form.late")) {
    late(event, form);
  } else if (form.matches("form.ahead, form.step")) {
    warm(event, form);
  } else if (form.dataset.entry !== undefined && !event.submitter?.hasAttribute("formaction")) {
    event.preventDefault();
    const body = outbox.fields(form, event.submitter);
    if (!body.get("key")) {
      body.set("key", outbox.newKey());
    }
    // pressed again for the same thing while it is on its way, it is the same entry
    send(form, body, [body.get("lift") ?? "", body.get("number") ?? ""].join(" "));
    // an answer mostly comes at once, and the page would move twice under the thumb
    setTimeout(overlay, SLOW_MS);
  }
}

function send(form, body, place) {
  const url = form.getAttribute("action");
  outbox.take({ url, body: body.toString(), key: body.get("key") ?? place, place, words: form.dataset.words ?? place, form: partOf(form),
    page: location.pathname });
}

const partOf = (form) => (form.closest('[id^="part-"]')?.id ?? "part-attempt").slice("part-".length);

function onAnswered({ detail }) {
  if (!mine(detail.entry)) {
    return;
  }
  const fresh = detail.html && new DOMParser().parseFromString(detail.html, "text/html").getElementById(root().id);
  if (fresh) {
    replace(fresh, detail.ok, detail.entry.form);
    if (detail.ok) {
      onward(detail.entry.form);
    } else {
      // it is asked about on this page, so that the list above need not
      outbox.asking(detail.entry.id);
    }
  } else {
    load();
  }
}

// Results are entered row by row.
function onward(form) {
  if (root().classList.contains("events")) {
    document.getElementById("part-" + form)?.nextElementSibling?.querySelector('input:not([type="hidden"])')?.focus();
  }
}

const place = (field) => `#${field.parentElement.closest("[id]").id} [name="${CSS.escape(field.name)}"]:not([type="hidden"])`;
const fields = () => [...root().querySelectorAll('input:not([type="hidden"]), select, textarea')];
function changed(field) {
  if (field.type === "checkbox") {
    return field.checked !== field.defaultChecked;
  }
  if (field.tagName === "SELECT") {
    const before = [...field.options].find((one) => one.defaultSelected) ?? field.options[0];
    return field.value !== before?.value;
  }
  return field.value !== field.defaultValue;
}

// Draws the page anew. What somebody has typed in other forms stays, and where they are.
function replace(fresh, fine, sent) {
  const focused = document.activeElement?.closest("#" + root().id) ? document.activeElement : null;
  const drafts = fields().filter((field) => changed(field) && field.name && field.closest("[id^=part-]")?.id !== "part-" + sent)
    .map((field) => ({ at: place(field), value: field.value, checked: field.checked }));
  const again = focused?.name ? place(focused) : null;
  drawn = "";
  delete document.documentElement.dataset.kept;
  root().replaceWith(document.adoptNode(fresh));
  for (const draft of drafts) {
    const field = root().parentElement.querySelector(draft.at);
    if (field) {
      field.value = draft.value;
      field.checked = draft.checked;
    }
  }
  if (again) {
    root().parentElement.querySelector(again)?.focus({ preventScroll: true });
  }
  tick();
  if (fine) {
    outbox.keepHere(root());
    takeAlong();
  }
  overlay();
  const wrong = root().querySelector('[role="alert"]:not([hidden])');
  wrong?.scrollIntoView({ block: "center" });
}

// ---- what somebody else entered

async function load() {
  try {
    const answer = await fetch(location.pathname + location.search, { headers: { "HX-Request": "true" }, credentials: "same-origin" });
    const fresh = answer.ok && !answer.redirected && new DOMParser().parseFromString(await answer.text(), "text/html").getElementById(root().id);
    if (fresh) {
      replace(fresh, true);
    }
  } catch {
    // without a signal the page stays as it is
  }
}

const typing = () => document.activeElement?.matches("#platform input, #room input, #platform select") || fields().some(changed);
const waiting = () => outbox.waiting().filter(mine);

async function lookAgain() {
  if (document.visibilityState !== "visible" || typing() || waiting().length > 0) {
    return;
  }
  if (!root().dataset.version) {
    load();
    return;
  }
  try {
    const answer = await fetch(`/contests/${root().dataset.contest}/platform/${root().dataset.athlete}/last`, { credentials: "same-origin" });
    if (answer.ok && !answer.redirected && String((await answer.json()).last) !== root().dataset.version) {
      load();
    }
  } catch {
    // without a signal it is asked again in a moment
  }
}

// ---- what a phone takes along, and what stands while entries wait

let along = null;
async function takeAlong() {
  if (root().dataset.lift === undefined) {
    return;
  }
  try {
    const answer = await fetch(`${location.pathname}/odds`, { credentials: "same-origin" });
    along = answer.ok && !answer.redirected ? await answer.json() : along;
    root().dataset.along = along ? "yes" : "";
    if (waiting().length > 0) {
      overlay();
    }
  } catch {
    // nothing to take along without a signal; what was kept comes from the worker
  }
}

// The attempts of each lift as the page has them.
function attempts() {
  const lifts = {};
  root().querySelectorAll(".lift-tabs [data-tab]").forEach((tab) => {
    lifts[tab.dataset.tab] = [...tab.querySelectorAll(".attempt")].filter((chip) => !chip.classList.contains("none"))
      .map((chip) => ({ load: chip.querySelector('[aria-hidden="true"]').textContent.trim(), state: ["good", "missed", "next"].find((state) => chip.classList.contains(state)) }));
  });
  return lifts;
}

// What waits stands on the page as if it were taken, until the answer comes.
let shownLift = null;
let drawn = "";
function overlay() {
  if (root().dataset.lift === undefined || waiting().length === 0) {
    return;
  }
  // drawn again only where something is new, or it would change under the thumb
  const now = waiting().map((entry) => entry.id).join() + Boolean(along);
  if (now === drawn) {
    return;
  }
  drawn = now;
  const lifts = attempts();
  for (const entry of waiting()) {
    const body = new URLSearchParams(entry.body);
    const of = (lifts[body.get("lift")] ??= []);
    const number = Number(body.get("number"));
    const whites = body.get("whites");
    const verdict = body.get("verdict") || verdictOf(whites);
    of[number - 1] = { ...of[number - 1], load: body.get("load"), state: verdict || "next",
      look: body.get("look") ?? of[number - 1]?.look, reason: body.get("reason") ?? of[number - 1]?.reason };
    shownLift = body.get("lift");
  }
  show(lifts, shownLift ?? root().dataset.lift);
}

function verdictOf(whites) {
  if (whites === null) {
    return "";
  }
  return Number(whites) > 1 ? "good" : "missed";
}

function show(lifts, lift) {
  const page = root();
  const all = lifts[lift] ?? [];
  const lifted = all.filter((one) => one.state !== "next");
  const next = all.find((one) => one.state === "next");
  const free = Number(page.dataset.free);
  const over = lifted.length >= free;
  for (const tab of page.querySelectorAll(".lift-tabs [data-tab]")) {
    chips(tab, lifts[tab.dataset.tab] ?? []);
    tab.toggleAttribute("aria-current", tab.dataset.tab === lift);
    if (tab.dataset.tab === lift) {
      tab.setAttribute("aria-current", "page");
    }
  }
  page.querySelectorAll(".attempt-now, .hand-in").forEach((part) => (part.hidden = over));
  if (!over && page.querySelector(".attempt-now")) {
    now(page, lift, lifted.length + 1, next, along && node(lift, lifted));
  }
  refine(page, lift, lifted);
  tick();
}

function chips(tab, of) {
  const list = tab.querySelector(".tries");
  of.forEach((one, at) => {
    const chip = list.children[at] ?? list.appendChild(list.lastElementChild.cloneNode(true));
    chip.className = "attempt " + one.state;
    chip.querySelector(".visually-hidden").textContent = `attempt ${at + 1}, ${one.load} kg, ${one.state === "next" ? "handed in" : one.state}`;
    chip.querySelector('[aria-hidden="true"]').textContent = one.load;
  });
}

// Where the lift stands in what was taken along: one step for each attempt that was lifted since.
function node(lift, lifted) {
  let at = along.lifts[lift];
  for (const one of lifted.slice(along.lifted[lift])) {
    at = at?.after[`${one.load} ${seenAs(one)}`];
  }
  return at;
}

function seenAs(one) {
  if (one.state === "missed") {
    return one.reason ? along.reasons[one.reason] : "MISSED";
  }
  return one.look || "GOOD";
}

const set = (form, values) => form && Object.entries(values).forEach(([name, value]) => {
  const field = form.querySelector(`input[type="hidden"][name="${name}"]`);
  if (field) {
    field.value = value;
  }
});

function now(page, lift, number, next, known) {
  const part = page.querySelector(".attempt-now");
  part.querySelector(".number-of").textContent = number;
  part.querySelector(".number").textContent = next?.load ?? "–";
  part.querySelector(".big").hidden = !next;
  const chance = part.querySelector(".chance");
  if (chance) {
    chance.textContent = known?.odds[next?.load] === undefined ? "" : known.odds[next.load] + " % made";
  }
  part.querySelector(".changes").textContent = "";
  part.querySelector(".on-bar")?.remove();
  part.querySelector(".differs")?.remove();
  const verdicts = part.querySelector(".verdicts");
  verdicts.hidden = !next;
  set(verdicts, { key: "", lift, number, load: next?.load ?? "", seen: next ? next.load + " kg" : "" });
  const hand = page.querySelector(".hand-in");
  hand.querySelectorAll("form").forEach((form) => set(form, { key: "", lift, number, seen: next ? next.load + " kg" : "" }));
  hand.querySelector("h2").textContent = next ? "Change it" : "Hand in attempt " + number;
  hand.querySelector("[data-other]").textContent = next ? "Change" : "Hand in";
  // whether what is handed in may be changed, the server says
  hand.querySelector(".choices").replaceChildren(...(next ? [] : known?.choices ?? []).map(choice));
  if (!next) {
    page.dataset.until = page.dataset.until > Date.now() ? page.dataset.until : Date.now() + 1000 * page.dataset.handIn;
  }
}

function choice(one) {
  const item = document.createElement("li");
  const button = document.createElement("button");
  Object.assign(button, { type: "submit", name: "load", value: one.load, className: "choice" });
  for (const [name, kind, text] of [["b", "", one.load], ["span", "odds", one.chance], ["span", "why", one.why], ["small", "then", one.side]]) {
    const part = document.createElement(name);
    part.className = kind;
    part.textContent = text;
    button.append(part, " ");
  }
  item.append(button);
  return item;
}

function refine(page, lift, lifted) {
  const part = page.querySelector(".refine");
  const last = lifted.at(-1);
  part.hidden = !last;
  if (!last) {
    return;
  }
  const good = last.state === "good";
  set(part.querySelector("form"), { key: "", lift, number: lifted.length, load: last.load, seen: `${last.load} kg ${last.state}`, verdict: last.state });
  part.querySelector(".refine-of").textContent = `Attempt ${lifted.length}, ${last.load} ${good ? "good" : "no lift"}`;
  part.querySelector(".refine-ask").textContent = good ? " · how did it look?" : "";
  part.querySelectorAll("[data-of]").forEach((one) => (one.hidden = one.dataset.of !== last.state));
  part.querySelectorAll("button").forEach((one) => one.setAttribute("aria-pressed", String(one.value === (one.name === "look" ? last.look : last.reason))));
}

// ---- fingers

function onClick(event) {
  const step = event.target.closest(".stepper [data-step]");
  if (step) {
    const field = step.parentElement.querySelector("input");
    const by = Number(field.dataset.by);
    const value = (Number(field.value.replace(",", ".")) || 0) + Number(step.dataset.step) * by;
    field.value = Math.max(Math.round(value * 100) / 100, 0);
    return;
  }
  const minutes = event.target.closest(".late [data-by]");
  if (minutes) {
    const field = minutes.form.elements.minutes;
    field.value = (Number(field.value.replace("−", "-")) || 0) + Number(minutes.dataset.by);
    minutes.form.requestSubmit();
    return;
  }
  const tab = event.target.closest(".lift-tabs [data-tab]");
  if (tab && (document.documentElement.dataset.kept || !navigator.onLine)) {
    event.preventDefault();
    shownLift = tab.dataset.tab;
    show(attempts(), shownLift);
  }
}

// ---- the warm-up room

const room = () => document.getElementById("room");

function late(event, form) {
  event.preventDefault();
  const minutes = Number(form.elements.minutes.value.replace("−", "-"));
  if (Number.isInteger(minutes)) {
    shift([...room().querySelectorAll("[data-at]")], 60000 * (minutes - Number(room().dataset.late)));
    room().dataset.late = minutes;
  }
  const body = outbox.fields(form);
  body.delete("key");
  send(form, body, "late");
}

function warm(event, form) {
  event.preventDefault();
  const pressed = event.submitter;
  const body = outbox.fields(form);
  const of = (form.closest("[data-athlete]") ?? form).dataset;
  const rows = [...room().querySelectorAll(`[data-athlete="${of.athlete}"][data-lift="${of.lift}"]`)];
  if (pressed.name === "ahead") {
    const head = rows.find((row) => row.classList.contains("warms"));
    const ahead = Math.max(Number(head.dataset.ahead) + Number(pressed.dataset.more), 0);
    shift(rows, 1000 * room().dataset.attempt * (ahead - Number(head.dataset.ahead)));
    head.dataset.ahead = ahead;
    head.querySelector(".n-ahead").textContent = ahead;
    body.set("ahead", ahead);
    send(form, body, `ahead ${of.athlete} ${of.lift}`);
    return;
  }
  pressed.closest("li").classList.toggle("done");
  pressed.setAttribute("aria-pressed", String(pressed.closest("li").classList.contains("done")));
  body.set("done", rows.filter((row) => row.classList.contains("done")).map((row) => row.dataset.number).join(","));
  send(form, body, `done ${of.athlete} ${of.lift}`);
}

function shift(rows, by) {
  for (const row of rows) {
    row.dataset.at = Number(row.dataset.at) + by;
    row.querySelector(".at").textContent = new Date(Number(row.dataset.at)).toLocaleTimeString("en-GB");
  }
  const list = room().querySelector(".due-steps");
  list.append(...[...list.children].sort((one, other) => one.dataset.at - other.dataset.at));
}

// ---- clocks

const clock = (seconds) => {
  const whole = Math.abs(Math.round(seconds));
  const hours = Math.floor(whole / 3600);
  const minutes = String(Math.floor(whole / 60) % 60);
  return (hours ? hours + ":" + minutes.padStart(2, "0") : minutes) + ":" + String(whole % 60).padStart(2, "0");
};

const rung = new Set();
function tick() {
  if (room()) {
    room().querySelector(".clock-wall").textContent = new Date().toLocaleTimeString("en-GB");
    room().querySelectorAll("[data-at]").forEach(due);
    return;
  }
  const left = (Number(root().dataset.until ?? 0) - Date.now()) / 1000;
  const down = root().querySelector(".countdown");
  if (down) {
    down.hidden = left <= -30 || !Number(root().dataset.until);
    down.querySelector("b").textContent = left > 0 ? clock(left) : "time is up";
    down.classList.toggle("short", left < 20);
    ring("hand in " + root().dataset.until, left < 20 && left > 0);
  }
}

function due(row) {
  const left = (Number(row.dataset.at) - Date.now()) / 1000;
  const done = row.classList.contains("done");
  const ahead = row.classList.contains("warms") ? "in " : "";
  row.querySelector(".in").textContent = left >= 0 ? ahead + clock(left) : clock(left) + " ago";
  row.classList.toggle("now", !done && left < 30 && left > -120);
  row.classList.toggle("over", !done && left <= -120);
  ring(row.dataset.athlete + " " + row.dataset.number + " " + row.dataset.at, !done && left < 30 && left > 0);
}

function ring(what, wanted) {
  if (wanted && !rung.has(what)) {
    rung.add(what);
    tone(990, 350);
    buzz([250]);
  }
}

start();
