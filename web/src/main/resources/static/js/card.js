// The Card on a phone: one set in the foreground, entries kept on the device until the server has them.

const root = () => document.getElementById("card");
const outbox = window.yarbelOutbox;
const here = () => "/sessions/" + root().dataset.session + "/";

function start() {
  document.addEventListener("keydown", onKey);
  document.addEventListener("click", onClick);
  document.addEventListener("input", (event) => onInput(event.target));
  document.addEventListener("submit", onSubmit);
  document.addEventListener("yarbel:answered", onAnswered);
  document.addEventListener("yarbel:waits", onWaits);
  document.addEventListener("yarbel:lost", () => (resting = null));
  document.addEventListener("visibilitychange", takeCard);
  document.addEventListener("yarbel:clip", lookAgain);
  outbox.keepHere(root());
  replay();
  putIn();
  fillShown();
  watchWords();
  takeCard();
}

// A clip that came through stands in the list, where that is open.
function lookAgain({ detail }) {
  const list = root().querySelector("#part-clips[open] .clip-list");
  if (list && detail.session === root().dataset.session) {
    window.htmx?.ajax("GET", here() + "clips", { target: list, swap: "outerHTML" });
  }
}

// What may be said beside a set comes once a line; it is put into the panel that is looked at, with what stands for its set.
function fillShown() {
  const panel = root().querySelector(".panel:not([hidden])");
  const place = panel?.querySelector(".beside-place");
  const template = place && document.getElementById("beside-" + panel.dataset.slot);
  if (!template) {
    return;
  }
  place.replaceWith(template.content.cloneNode(true));
  const besides = JSON.parse(document.getElementById("card-tables").dataset.besides);
  fill(panel, besides[panel.dataset.panelId]);
  if (panel.dataset.logged !== "true") {
    proposed(panel);
  }
}

function fill(panel, state) {
  const beside = panel.querySelector(".more-said");
  beside.querySelectorAll('input[name="ctx"]').forEach((chip) => (chip.checked = state.ctx.includes(chip.value)));
  beside.querySelectorAll('input[name="gear"]').forEach((chip) => (chip.checked = state.gear.includes(chip.value)));
  beside.querySelectorAll('input[name="mark"]').forEach((chip) => {
    chip.checked = chip.value in state.marks;
    beside.querySelector(`[name="rep.${chip.value}"]`).value = state.marks[chip.value] ?? "";
  });
  for (const name of ["ctxWords", "wornWas", "speeds", "did"]) {
    beside.querySelector(`[name="${name}"]`).value = state[name];
  }
  beside.querySelector(".brief").textContent = state.brief;
}

// What was said on this phone and waits marks the sets that come, by the bounds that came with the form of the check-in.
function proposed(panel) {
  const form = root().querySelector('form[data-form="check-in"]');
  const beside = panel.querySelector(".more-said");
  if (!form || !beside) {
    return;
  }
  const chip = (name, there) => (beside.querySelector(`input[name="ctx"][value="${name}"]`).checked = there);
  const loads = document.getElementById("beside-" + panel.dataset.slot).dataset.loads.split(" ");
  const bad = (place, score) => loads.includes(place) && Number(score) >= Number(form.dataset.pain);
  for (const entry of outbox.waiting().filter((one) => one.url.startsWith(here()))) {
    const said = new URLSearchParams(entry.body);
    if (entry.form === "check-in") {
      const slept = (said.get("sleep") ?? "").replace(",", ".");
      chip("SHORT_SLEEP", slept !== "" && Number(slept) < Number(form.dataset.short));
      chip("PAIN", [...said.keys()].some((key) => key.startsWith("place.") && bad(said.get(key), said.get(key.replace("place", "score")))));
    } else if (said.get("ended") === "HURT" && bad(said.get("hurtPlace"), said.get("hurtScore"))) {
      chip("PAIN", true);
    }
  }
  brief(beside);
}

// What is ticked stands in the line that opens it.
function brief(beside) {
  const words = [...beside.querySelectorAll('input:is([name="ctx"], [name="mark"]):checked')].map((chip) => chip.nextElementSibling.textContent);
  const speeds = beside.querySelector('[name="speeds"]').value.trim();
  const did = beside.querySelector('[name="did"]').value.trim();
  beside.querySelector(".brief").textContent = [...words, ...(speeds ? [speeds + " m/s"] : []), ...(did ? ["done as " + did] : [])].join(" · ");
}

// The words of the other side are read once they are in sight.
let watching = null;
function watchWords() {
  watching?.disconnect();
  const words = root().querySelector("[data-read]");
  if (!words || !("IntersectionObserver" in window)) {
    return;
  }
  const post = async () => {
    const body = new URLSearchParams({ _csrf: document.querySelector('meta[name="csrf"]')?.content ?? "", upTo: words.dataset.read });
    try {
      await fetch(here() + "read", { method: "POST", body, redirect: "error" });
    } catch {
      // without signal they stay new
    }
  };
  watching = new IntersectionObserver((seen) => {
    if (seen.some((one) => one.isIntersecting) && document.visibilityState === "visible") {
      watching.disconnect();
      post();
    }
  });
  watching.observe(words.querySelector("ol li:last-child") ?? root().querySelector(".coach-word") ?? words);
}

// Only what says so changes: somebody may be at the fields already.
function issued(taken) {
  for (const what of [".card-head > p", ".paper > header"]) {
    root().querySelector(what).replaceWith(document.adoptNode(taken.querySelector(what)));
  }
  const number = taken.querySelector('input[name="issue"]')?.value ?? "1";
  root().querySelectorAll('input[name="issue"]').forEach((field) => (field.value = number));
  const end = taken.querySelector("details.end");
  if (end && !root().querySelector("details.end")) {
    root().querySelector(".overview").append(document.adoptNode(end));
  }
  const easier = taken.querySelector("#part-easier");
  if (easier && !root().querySelector("#part-easier")) {
    root().querySelector("#part-check-in").after(document.adoptNode(easier));
  }
  delete root().dataset.take;
  outbox.keepHere(root());
}

// Looking at a card issues nothing, which a browser may do ahead of anybody; somebody who sees it takes it. What did not get through is
// tried again while it is looked at; without signal it is taken with its first set.
const TAKE_AGAIN_MS = [2000, 4000, 8000, 15000, 30000];
let taking = false;
let takeLater = 0;
let tries = 0;
async function takeCard() {
  const address = root().dataset.take;
  clearTimeout(takeLater);
  if (!address || taking || document.visibilityState !== "visible" || document.prerendering) {
    return;
  }
  taking = true;
  let again = false;
  try {
    const answer = await outbox.post({ url: address, body: "" });
    again = outbox.comesLater(answer) || answer.status === 409;
    const taken = answer.ok ? new DOMParser().parseFromString(await answer.text(), "text/html").getElementById("card") : null;
    if (taken && root().dataset.take) {
      issued(taken);
    }
  } catch {
    again = true;
  } finally {
    taking = false;
  }
  if (again) {
    takeLater = setTimeout(takeCard, TAKE_AGAIN_MS[Math.min(tries++, TAKE_AGAIN_MS.length - 1)]);
  }
}

// A card that came from the phone says how old it is: loads may have moved since.
function age() {
  const line = document.getElementById("kept-note");
  const kept = Date.parse(document.documentElement.dataset.kept ?? "");
  if (!line || Number.isNaN(kept)) {
    return;
  }
  const minutes = Math.max(Math.round((Date.now() - kept) / 60000), 0);
  // kept for a day to come, which may have come meanwhile
  const today = new Date(Date.now() - new Date().getTimezoneOffset() * 60000).toISOString().slice(0, 10);
  const toCome = root().querySelector(".to-come");
  if (toCome) {
    toCome.hidden = root().dataset.day <= today;
  }
  line.textContent = "No signal: this is the card as it was " + ago(minutes) + ". What you log is kept on this phone.";
  line.hidden = false;
}

function ago(minutes) {
  if (minutes < 2) {
    return "just now";
  }
  if (minutes < 120) {
    return minutes + " minutes ago";
  }
  return minutes < 2880 ? Math.round(minutes / 60) + " hours ago" : Math.round(minutes / 1440) + " days ago";
}

function onClick(event) {
  const step = event.target.closest("[data-step]");
  if (step) {
    const input = step.parentElement.querySelector("input");
    const from = input.value === "" && input.dataset.from ? Number(input.dataset.from) - Number(step.dataset.step) * Number(input.dataset.by)
      : Number(input.value.replace(",", ".")) || 0;
    const next = from + Number(step.dataset.step) * Number(input.dataset.by);
    input.value = String(Math.max(Math.round(next * 100) / 100, 0));
    otherLoad(input);
    fewer(input);
    return;
  }
  const taken = event.target.closest(".take-load");
  if (taken) {
    const panel = taken.closest(".panel");
    const field = panel.querySelector('input[name="load"]');
    field.value = taken.dataset.load;
    chose(panel, taken.dataset.chosen);
    field.focus();
    return;
  }
  const declared = event.target.closest(".declare");
  if (declared) {
    declare(declared);
    return;
  }
  const link = event.target.closest("[data-panel]");
  if (link && document.getElementById("panel-" + link.dataset.panel)) {
    event.preventDefault();
    show(link.dataset.panel);
    toTop();
  }
}

// Which of the loads that stand beside each other was taken goes into the log; one that is typed after is nobody's offer.
function chose(panel, way) {
  panel.querySelector('input[name="chosen"]').value = way;
  panel.querySelectorAll(".take-load").forEach((one) => one.setAttribute("aria-pressed", String(one.dataset.chosen === way)));
}

function otherLoad(input) {
  const panel = input.name === "load" ? input.closest(".panel") : null;
  if (panel?.querySelector('input[name="chosen"]')) {
    chose(panel, "");
  }
}

function onInput(input) {
  fewer(input);
  otherLoad(input);
  const beside = input.closest(".more-said:not(.opinion)");
  if (beside) {
    withoutBelt(input, beside);
    brief(beside);
  }
}

// A belt that goes on at this load and was not worn says so by itself.
function withoutBelt(input, beside) {
  if (input.name === "gear" && input.value === "BELT" && beside.querySelector('[name="wornWas"]').value.split(",").includes("BELT")) {
    beside.querySelector('input[name="ctx"][value="NO_BELT"]').checked = !input.checked;
  }
}

// With fewer reps than asked the card asks why; it closes again by hand only.
function fewer(input) {
  const why = input.name === "reps" ? input.form?.querySelector("details.why[data-asked]") : null;
  if (why && input.value !== "" && Number(input.value) < Number(why.dataset.asked)) {
    why.open = true;
  }
}

// Any warm-up can be declared the top set: it goes into the fields, and what was above it is not needed.
function declare(button) {
  const panel = button.closest(".panel");
  panel.querySelector('input[name="load"]').value = button.dataset.load;
  let above = false;
  for (const step of panel.querySelectorAll(".ramp li")) {
    step.classList.toggle("needless", above);
    above ||= step.contains(button);
  }
  panel.querySelector(".ramp").open = false;
  const field = panel.querySelector('input[name="load"]');
  field.focus();
  // said by that button: nobody needs to be asked whether so little is meant, unless another load is typed after
  const sure = Object.assign(document.createElement("input"), { type: "hidden", name: "sure", value: "1" });
  field.form.append(sure);
  field.addEventListener("input", () => sure.remove(), { once: true });
}

// The skyline is the way to move about: arrow left and right go from set to set.
function onKey(event) {
  if (event.key !== "ArrowLeft" && event.key !== "ArrowRight" || !event.target.closest(".sky")) {
    return;
  }
  const all = [...root().querySelectorAll(".sky a[data-panel]")];
  const to = all[all.indexOf(event.target.closest("a")) + (event.key === "ArrowRight" ? 1 : -1)];
  if (to) {
    event.preventDefault();
    show(to.dataset.panel);
    toTop();
    to.focus();
  }
}

function show(panel) {
  for (const section of root().querySelectorAll(".panel")) {
    section.hidden = section.dataset.panelId !== panel;
  }
  for (const link of root().querySelectorAll(".overview a[data-panel], .sky a[data-panel]")) {
    link.toggleAttribute("aria-current", false);
    if (link.dataset.panel === panel) {
      link.setAttribute("aria-current", "step");
    }
  }
  fillShown();
}

// After a set comes the next one; who says something around the sets stays where it was said.
function lookAt(entry) {
  const around = { say: "#part-say", extra: "#part-extra", lifted: "#part-lifted", end: ".finished, #part-end" }[entry.form];
  const part = around && root().querySelector(around);
  if (part) {
    part.scrollIntoView({ block: "center", behavior: "instant" });
  } else {
    toTop();
  }
}

// The whole card from its head on: the skyline stays in sight, the site's own bar does not.
function toTop() {
  window.scrollTo(0, document.getElementById("main").offsetTop);
}

async function onSubmit(event) {
  const form = event.target.closest("form.entry, form.ending, form.around");
  if (!form) {
    return;
  }
  event.preventDefault();
  const body = outbox.fields(form, event.submitter);
  const panel = form.matches(".entry") ? form.closest(".panel") : null;
  const around = form.dataset.form ?? "end";
  // of which set, where it is about one
  const about = panel ? "" : form.closest(".panel")?.dataset.panelId ?? "";
  const own = panel || around === "say" || around === "extra" ? body.get("key") : null;
  const entry = { url: form.getAttribute("action"), body: body.toString(), key: own ?? form.getAttribute("action") + about, panel: panel?.dataset.panelId ?? "",
    place: panel?.dataset.panelId ?? around + " " + (own ?? about), form: panel ? "" : around, words: panel ? words(panel, body) : aroundWords(form, body) };
  if (panel && body.get("outcome") !== "clear") {
    resting = { key: entry.key, rest: Number(panel.dataset.rest), panel: entry.panel };
  }
  await outbox.take(entry);
}

// What is said around the sets, in a few words.
function aroundWords(form, body) {
  const start = (text) => (text.length > 40 ? text.slice(0, 40) + "…" : text);
  switch (form.dataset.form) {
    case "say": return "“" + start(body.get("words")) + "”";
    case "extra": return body.get("lift") + " " + body.get("load") + " × " + body.get("reps") + (Number(body.get("sets")) > 1 ? `, ${body.get("sets")} sets` : "");
    default: return form.dataset.words ?? "the end of the session";
  }
}

// What somebody wanted to write down, in the words they would say.
function words(panel, body) {
  const figures = body.get("outcome") === "clear" ? "not done after all"
    : body.get("load") + (body.get("outcome") === "missed" ? ", missed" : " × " + body.get("reps")) + rated(body.get("rpe"));
  return panel.querySelector("h2").textContent.replace(/\s+/g, " ").trim() + ": " + figures;
}

const rated = (rpe) => (rpe === "easier" ? " easier than 6" : rpe ? " @" + rpe : "");

// The rest begins when a set is taken or kept on the phone, not while something is asked about it; by then what comes next is
// worked out from it.
let resting = null;
function rest(key, taken) {
  if (!resting || resting.key !== key) {
    return;
  }
  if (taken) {
    const next = document.querySelector(`#panel-${CSS.escape(resting.panel)} .what-next a`)?.textContent ?? "rest";
    document.dispatchEvent(new CustomEvent("yarbel:logged", { detail: { rest: resting.rest, next: next.replace(/\s+/g, " ").trim() } }));
  }
  resting = null;
}

function onAnswered({ detail }) {
  const { entry, ok, html } = detail;
  // somebody who waits for the answer is asked in the form; what was refused long after stays in the list
  if (entry.url.startsWith(here()) && html !== "" && (ok || detail.here)) {
    sessionEnded(entry, ok);
    replace(html, ok, entry);
    outbox.asking(ok ? "" : entry.id);
  }
  rest(entry.key, ok);
}

function onWaits({ detail }) {
  if (detail.entry.url.startsWith(here())) {
    waitsAround(detail.entry);
    replay();
    lookAt(detail.entry);
  }
  rest(detail.entry.key, true);
}

// A form that may be sent again and again is empty once its words wait on the phone; the others stand with what was said.
function waitsAround(entry) {
  const form = entry.form ? root().querySelector(`form[data-form="${entry.form}"]`) : null;
  if (form && (entry.form === "say" || entry.form === "extra")) {
    form.reset();
    form.querySelectorAll('input:not([type="hidden"]), textarea').forEach((field) => (field.value = ""));
    form.querySelector('[name="key"]').value = outbox.newKey();
  }
  if (entry.form === "check-in" || entry.form === "end") {
    document.getElementById("part-" + entry.form).open = false;
  }
  if (entry.form === "check-in") {
    proposed(root().querySelector(".panel:not([hidden])") ?? form);
  }
  sessionEnded(entry, true);
}

function sessionEnded(entry, taken) {
  if (entry.form === "end" && taken) {
    document.dispatchEvent(new CustomEvent("yarbel:ended"));
  }
}

// What was said around the sets and waits stands where it was said.
function keptAround(waiting) {
  root().querySelectorAll(".kept-here").forEach((list) => list.remove());
  for (const entry of waiting.filter((one) => one.form)) {
    const part = document.getElementById("part-" + entry.form);
    const brief = part?.querySelector(":scope > summary .brief");
    if (brief) {
      brief.textContent = "kept on this phone";
    } else if (part) {
      let list = part.querySelector(".kept-here");
      if (!list) {
        list = Object.assign(document.createElement("ul"), { className: "plain kept-here" });
        (part.querySelector(":scope > details, :scope > form") ?? part.lastElementChild).before(list);
      }
      list.append(Object.assign(document.createElement("li"), { textContent: entry.words + ", kept on this phone" }));
    }
  }
}

// How many sets are done, and how many of each line were not tried, with what waits.
function counted() {
  const panels = [...root().querySelectorAll(".panel")];
  root().querySelector("#sets-done").textContent = panels.filter((panel) => panel.dataset.logged === "true").length;
  for (const line of root().querySelectorAll("#part-end fieldset[data-line]")) {
    const left = panels.filter((panel) => panel.dataset.slot === line.dataset.line && panel.dataset.logged !== "true"
      && panel.dataset.needless !== "true" && panel.dataset.attempt !== "true").length;
    line.querySelector(".owed").textContent = left;
    line.hidden = left === 0;
  }
}

// What was refused before goes back into its fields, to be looked at and sent again.
function putIn() {
  const entry = location.hash.startsWith("#refused-") ? outbox.refused(location.hash.slice("#refused-".length)) : null;
  const form = entry?.form ? root().querySelector(`form[data-form="${entry.form}"], #part-${entry.form} form`) : null;
  if (form) {
    putBack(form, new URLSearchParams(entry.body));
    for (let details = form.closest("details"); details; details = details.parentElement.closest("details")) {
      details.open = true;
    }
    form.scrollIntoView({ block: "center" });
    return;
  }
  const panel = entry && document.getElementById("panel-" + entry.panel);
  if (!panel) {
    return;
  }
  show(entry.panel);
  toTop();
  putBack(panel.querySelector("form"), new URLSearchParams(entry.body));
  const beside = panel.querySelector(".more-said");
  brief(beside);
  beside.open = beside.querySelector(".brief").textContent !== "";
}

// Every field that a person sees, as it was sent.
function putBack(form, body) {
  for (const field of form.elements) {
    if (!field.name || field.type === "hidden" || field.type === "submit" || field.type === "button") {
      continue;
    }
    if (field.type === "radio") {
      field.checked = field.value === (body.get(field.name) ?? "");
    } else if (field.type === "checkbox") {
      field.checked = body.getAll(field.name).includes(field.value);
    } else if (body.has(field.name)) {
      field.value = body.get(field.name);
    }
  }
}

function replace(html, ok, entry) {
  const fresh = new DOMParser().parseFromString(html, "text/html").getElementById("card");
  if (fresh) {
    delete document.documentElement.dataset.kept;
    root().replaceWith(document.adoptNode(fresh));
    window.htmx?.process(root());
    if (ok) {
      outbox.keepHere(root());
    }
    replay();
    fillShown();
    watchWords();
    const wrong = root().querySelector('[role="alert"], [aria-invalid="true"]');
    if (wrong) {
      wrong.scrollIntoView({ block: "center" });
    } else {
      lookAt(entry);
    }
  }
}

// Whether the day is a low one, and what an easier session asks, by the table that came with the card.
function lowDay(waiting) {
  const section = root().querySelector("#part-easier");
  if (!section) {
    return;
  }
  const table = JSON.parse(section.dataset.table);
  const answers = waiting.findLast((one) => one.form === "check-in");
  if (answers) {
    const said = new URLSearchParams(answers.body);
    const ready = readiness(table, said);
    const readable = Object.keys(table.answers).some((name) => said.get(name));
    const chosen = section.querySelector('[aria-pressed="true"][value]:not([value=""])');
    section.hidden = !chosen && !(readable && !said.has("leave") && ready < table.under);
    section.querySelector(".readiness").textContent = ready + " of 100";
  }
  // once a set of the main work is done the session goes on as it is
  const lines = new Set(Object.values(table.lines).flat());
  const begun = [...root().querySelectorAll('.panel[data-logged="true"]')].some((panel) => lines.has(panel.dataset.slot))
    || waiting.some((one) => lines.has(new URLSearchParams(one.body).get("slot")));
  section.querySelectorAll("button[name=way]").forEach((one) => (one.disabled = begun));
  const chose = waiting.findLast((one) => one.form === "easier");
  if (chose) {
    const way = new URLSearchParams(chose.body).get("way");
    section.querySelectorAll("button[name=way]").forEach((one) => one.setAttribute("aria-pressed", String(one.value === way)));
    ease(table, way);
  }
}

function readiness(table, said) {
  const points = (name, answer) => (answer ? table.answers[name]?.[answer] ?? 0 : 0);
  const halves = (said.get("sleep") ?? "").trim() === "" ? "" : String(Math.round(2 * Number(said.get("sleep").replace(",", "."))));
  const sum = table.before + points("sleep", halves) + points("energy", said.get("energy")) + points("joints", said.get("joints"));
  return Math.round(Math.min(Math.max(sum, 0), 100));
}

// Sets that are still to do weigh what the way asks; of as planned what the card came with.
function ease(table, way) {
  const lines = new Set(Object.values(table.lines).flat());
  const sets = table.ways[way] ?? {};
  const changed = new Set(table.lines[way] ?? []);
  for (const panel of root().querySelectorAll(".panel")) {
    if (!lines.has(panel.dataset.slot) || panel.dataset.logged === "true") {
      continue;
    }
    panel.cameWith ??= asCame(panel);
    const row = changed.has(panel.dataset.slot) ? sets[panel.dataset.panelId] : panel.cameWith;
    panel.dataset.needless = row ? "false" : "true";
    setText(panel.dataset.panelId, ".row-state", row ? "" : "not needed");
    if (row) {
      const [load, side, asked, reps] = row;
      write(panel, ["", load, side]);
      panel.querySelector('input[name="reps"]').value = reps;
      panel.querySelector(".asked-for").textContent = asked;
      setText(panel.dataset.panelId, ".row-asked", asked);
    }
  }
}

const asCame = (panel) => [panel.querySelector(".number").textContent, (panel.querySelector(".on-bar .side")?.textContent ?? "").replace(/ a side$|^no plates$/, ""),
  panel.querySelector(".asked-for").textContent, panel.querySelector('input[name="reps"]').value];

// Shows entries that wait as done, and what the sets after them become by the issued table.
function replay() {
  age();
  const waiting = outbox.waiting().filter((one) => one.url.startsWith(here()));
  keptAround(waiting);
  lowDay(waiting);
  let last = null;
  for (const entry of waiting) {
    const body = new URLSearchParams(entry.body);
    const id = [body.get("slot"), body.get("part"), body.get("set")].join("-");
    const panel = document.getElementById("panel-" + id);
    if (panel) {
      const missed = body.get("outcome") === "missed";
      const cleared = body.get("outcome") === "clear";
      panel.dataset.logged = String(!cleared);
      panel.dataset.load = body.get("load");
      panel.dataset.reps = missed ? "0" : body.get("reps");
      panel.dataset.rpe = cleared || missed ? "" : body.get("rpe") ?? "";
      setText(id, ".row-load", body.get("load"));
      setText(id, ".row-state", cleared ? "" : missed ? "missed" : "on phone");
      panel.querySelector('input[name="load"]').value = body.get("load");
      panel.querySelector('input[name="reps"]').value = body.get("reps");
      lookUp(body.get("slot"));
      todaysMax(body.get("slot"), panel, body);
      ended(panel);
      afterMiss(body.get("slot"));
      last = panel;
    }
  }
  if (last) {
    counted();
    // behind the one just logged first: whoever does a later line first is not sent back
    const panels = [...root().querySelectorAll(".panel")];
    const at = panels.indexOf(last);
    const next = [...panels.slice(at + 1), ...panels.slice(0, at)].find((panel) => panel.dataset.logged !== "true"
      && (panel.dataset.optional !== "true" || panel.dataset.slot === last.dataset.slot) && panel.dataset.needless !== "true" && panel.dataset.attempt !== "true");
    show((triedAgain(panels, last) || next || last).dataset.panelId);
  }
}

// Where nothing hangs on a set that was missed, the other attempt that came with the card is what comes next.
function triedAgain(panels, last) {
  const { slot, part, reps } = last.dataset;
  return Number(reps) === 0 && lookUps(slot).backOffs.length === 0
    && panels.find((panel) => panel.dataset.slot === slot && panel.dataset.part === part && panel.dataset.attempt === "true" && panel.dataset.logged !== "true");
}

// A build-up that has reached its RPE needs no further set.
function ended(panel) {
  const { slot, part, ends, rpe } = panel.dataset;
  if (ends && Number(rpe) >= Number(ends)) {
    for (const other of root().querySelectorAll(`.panel[data-slot="${slot}"][data-part="${part}"]`)) {
      if (other.dataset.logged !== "true") {
        other.dataset.needless = "true";
        setText(other.dataset.panelId, ".row-state", "not needed");
      }
    }
  }
}

// No rep of the top set: the ways that were issued with the card are shown.
function afterMiss(slot) {
  const panels = [...root().querySelectorAll(`.panel[data-slot="${slot}"]`)];
  const follows = Math.min(...panels.filter((panel) => panel.querySelector(".ways .take-load")).map((panel) => Number(panel.dataset.part)));
  const before = panels.filter((panel) => Number(panel.dataset.part) < follows && panel.dataset.logged === "true" && panel.dataset.warm !== "true");
  const missed = before.length > 0 && before.every((panel) => Number(panel.dataset.reps ?? (panel.dataset.missed === "true" ? 0 : 1)) === 0);
  for (const panel of panels) {
    const ways = panel.querySelector(".ways");
    if (ways && panel.dataset.logged !== "true" && (panel.dataset.attempt === "true" || Number(panel.dataset.part) >= follows)) {
      ways.hidden = !missed;
    }
    if (panel.dataset.attempt === "true" && panel.dataset.logged !== "true") {
      root().querySelector(`[data-row="${panel.dataset.panelId}"]`)?.toggleAttribute("hidden", !missed);
    }
  }
}

const lookUps = (slot) => JSON.parse(document.getElementById("card-tables").dataset.tables)[slot] ?? { backOffs: [], today: null };

// Today's max by the table that came with the card, for the top set as it was lifted, and what the back-offs weigh from it.
function todaysMax(slot, panel, body) {
  const { today } = lookUps(slot);
  if (!today || today.panel !== panel.dataset.panelId) {
    return;
  }
  const rated = body.get("outcome") === "missed" ? "missed" : body.get("rpe") ?? "";
  const asked = rated === "missed" || body.get("reps") === today.reps;
  const load = Number(body.get("load").replace(",", "."));
  const row = asked && body.get("outcome") !== "clear" ? today.rows.find((one) => Number(one[0]) === load && one[1] === rated) : null;
  const beside = new Map();
  for (let at = 3; row && at < row.length; at += 2) {
    beside.set(row[at], row[at + 1]);
  }
  for (const other of root().querySelectorAll(`.panel[data-slot="${slot}"]`)) {
    const says = other.querySelector(".todays");
    says.hidden = !row;
    says.textContent = row ? "Today’s max " + row[2] + " after the top set" : "";
    offer(other, beside.get(other.dataset.part));
  }
}

function offer(panel, load) {
  const ways = panel.querySelector(".from-today");
  if (!ways) {
    return;
  }
  ways.hidden = load === undefined;
  const loads = [load ?? "", panel.querySelector('input[name="load"]').value];
  ways.querySelectorAll(".take-load").forEach((button, at) => {
    button.dataset.load = loads[at];
    button.querySelector("b").textContent = loads[at];
  });
}

function lookUp(slot) {
  const tables = lookUps(slot).backOffs;
  const panels = [...root().querySelectorAll(`.panel[data-slot="${slot}"]`)];
  for (const table of tables) {
    let previous = null;
    for (const panel of panels.filter((p) => Number(p.dataset.part) === table.part)) {
      const reference = table.each && previous !== null ? previous : heaviest(panels, table.part);
      const row = reference === null ? null : nearest(table.rows, reference);
      if (row && panel.dataset.logged !== "true") {
        write(panel, row);
      }
      previous = loadOf(panel);
    }
  }
}

const loadOf = (panel) => Number((panel.dataset.load || panel.querySelector('input[name="load"]').value).replace(",", "."));

// The heaviest made set of the parts before, as the table expects it; null while none is made.
function heaviest(panels, part) {
  const made = panels.filter((p) => Number(p.dataset.part) < part && p.dataset.logged === "true" && p.dataset.missed !== "true"
    && p.dataset.warm !== "true" && Number(p.dataset.reps ?? 1) > 0).map(loadOf);
  return made.length === 0 ? null : Math.max(...made);
}

function nearest(rows, reference) {
  const inside = rows.length > 0 && reference >= Number(rows[0][0]) && reference <= Number(rows[rows.length - 1][0]);
  const off = (row) => Math.abs(Number(row[0]) - reference);
  return inside ? rows.reduce((a, b) => (off(b) < off(a) ? b : a)) : null;
}

function write(panel, [, load, side]) {
  const id = panel.dataset.panelId;
  panel.querySelector(".number").textContent = load;
  panel.querySelector('input[name="load"]').value = load;
  const text = panel.querySelector(".on-bar .side");
  if (text) {
    text.textContent = side === "" ? "no plates" : side + " a side";
    panel.querySelector(".on-bar svg")?.remove();
  }
  setText(id, ".row-load", load);
  root().querySelectorAll(`.what-next a[data-panel="${id}"] .next-load`).forEach((next) => (next.textContent = load));
}

function setText(id, selector, text) {
  const element = root().querySelector(`[data-row="${id}"] ${selector}`);
  if (element) {
    element.textContent = text;
  }
}

start();
