// What every page needs. No load is computed in any of our scripts: the Card looks loads up in the table it was issued with.
document.documentElement.classList.add("js");

document.body.addEventListener("htmx:configRequest", (event) => {
  const token = document.querySelector('meta[name="csrf"]');
  if (token && event.detail.verb !== "get") {
    event.detail.headers["X-CSRF-TOKEN"] = token.content;
  }
});

// A field with a list offers what begins like its text, and an example is there to be written over: typing replaces the whole of it.
for (const moment of ["focusin", "click"]) {
  document.body.addEventListener(moment, (event) => {
    if (event.target.matches("input.lift[list], form.example input")) {
      event.target.select();
    }
  });
}

// An assistant sees what is planned and writes nothing of it; what the server takes from them are the forms of what happened.
const LOGGED_ON = new Set(["card", "now", "clips", "review", "account", "login"]);
function notTheirs() {
  if (!document.body.classList.contains("reads") || LOGGED_ON.has(document.body.dataset.here)) {
    return;
  }
  for (const form of document.querySelectorAll('main form[method="post"]:not(.logs, .logs *, .not-theirs)')) {
    form.classList.add("not-theirs");
    for (const field of form.elements) {
      field.readOnly = true;
      field.tabIndex = -1;
      field.disabled = field.matches("select, button, [type=checkbox], [type=radio], [type=date], [type=file]");
    }
  }
}
notTheirs();
document.body.addEventListener("htmx:load", notTheirs);

// An address that is there to be taken is taken whole.
document.body.addEventListener("focusin", (event) => event.target.matches("[data-select]") && event.target.select());

document.body.addEventListener("htmx:sendError", () => say("No connection: nothing was sent. What you typed is still here."));
// A piece of a page that lost against somebody else stays as it is.
document.body.addEventListener("htmx:afterRequest", (event) => {
  const xhr = event.detail.xhr;
  if (xhr?.status === 409 && xhr.getResponseHeader("HX-Reswap") === "none") {
    const last = new DOMParser().parseFromString(xhr.responseText, "text/html").querySelector("main p")?.textContent ?? "";
    say(last + " What you typed is still here; load the page again to see what stands.");
  }
});
const WRONG = {
  403: "Sign in again in another tab, then repeat this: what you typed is still here.",
  404: "This is not there any more: somebody took it out meanwhile. What you typed is still here; load the page again to see what stands.",
  503: "The records cannot be reached at this moment: nothing is lost, and nothing was saved just now. What you typed is still here; try again in a few seconds.",
  507: "There is no room on the disk: nothing was saved. What you typed is still here.",
};
document.body.addEventListener("htmx:responseError", (event) =>
  say(WRONG[event.detail.xhr.status] ?? "That did not work, and nothing was saved. What you typed is still here; try again."));

function say(text) {
  let note = document.getElementById("page-note");
  if (!note) {
    note = document.createElement("p");
    note.id = "page-note";
    note.className = "said wrong";
    note.setAttribute("role", "alert");
    document.getElementById("main").prepend(note);
  }
  note.textContent = text;
}

// While a line of work is typed, what could come next stands under it: arrow down and Enter take one, so does a click.
document.body.addEventListener("htmx:configRequest", (event) => {
  if (event.target.matches("input.work[name=work]") && document.activeElement === event.target) {
    event.detail.parameters.caret = event.target.selectionStart;
  }
});
const proposals = (field) => [...(field.closest("form")?.querySelectorAll(".next li") ?? [])];
document.body.addEventListener("keydown", (event) => {
  const field = event.target;
  if (!field.matches("input.work[name=work]")) {
    return;
  }
  const all = proposals(field);
  const at = all.findIndex((li) => li.getAttribute("aria-selected") === "true");
  if (all.length > 0 && (event.key === "ArrowDown" || event.key === "ArrowUp")) {
    event.preventDefault();
    const to = (at + (event.key === "ArrowDown" ? 1 : all.length + (at < 0 ? 0 : -1))) % all.length;
    all.forEach((li, i) => li.setAttribute("aria-selected", String(i === to)));
    announce(all[to].textContent);
  } else if (event.key === "Enter" && at >= 0) {
    event.preventDefault();
    take(field, all[at]);
  } else if (event.key === "Escape") {
    all.forEach((li) => li.remove());
  }
});
document.body.addEventListener("mousedown", (event) => {
  const chosen = event.target.closest(".next li");
  if (chosen) {
    event.preventDefault();
    take(chosen.closest("form").querySelector("input.work[name=work]"), chosen);
  }
});
function take(field, chosen) {
  field.value = chosen.dataset.whole;
  field.focus();
  field.dispatchEvent(new Event("input", { bubbles: true }));
}
document.body.addEventListener("focusout", (event) => {
  if (event.target.matches("input.work[name=work]")) {
    proposals(event.target).forEach((li) => li.parentElement?.remove());
  }
});

// A new word takes the place of the last one.
document.body.addEventListener("htmx:afterSwap", () => {
  if (document.querySelector("#board > .said")) {
    document.querySelector(".week-bar .said")?.remove();
  }
});

// What is said beside a line comes when it is opened; what stands open says so, and comes with what is drawn anew.
document.body.addEventListener("htmx:configRequest", (event) => {
  const target = event.detail.target;
  if (target?.matches?.(".day, #board, form.slot[id]")) {
    const lines = target.matches(".slot") ? [target] : [...target.querySelectorAll(".slot[data-slot]")];
    event.detail.parameters.open = lines.filter((line) => line.querySelector(".about[open]")).map((line) => line.dataset.slot).join(",");
  }
});

// Opened while its line was being saved: what is drawn anew came closed, and its content is asked for at once.
function standOpen(about) {
  about.open = true;
  const from = about.getAttribute("hx-get");
  about.removeAttribute("hx-get");
  if (from) {
    htmx.ajax("GET", from, { source: about, target: about.querySelector(".about-fields"), swap: "outerHTML" });
  }
}

// A line that is saved is drawn anew: what stands open stays open, and what is being typed in it meanwhile is not lost.
let meanwhile = null;
document.body.addEventListener("htmx:beforeSwap", (event) => {
  const row = event.detail.target;
  const field = document.activeElement;
  const sent = event.detail.requestConfig?.parameters?.[field?.name];
  meanwhile = row.matches?.("form.slot[id], form.cell[id]") ? {
    row: row.id,
    open: row.querySelector(".about")?.open,
    field: row.contains(field) && field.matches("input:not([type=checkbox]):not([type=radio])") ? field.id : "",
    value: sent === undefined || sent === field.value ? null : field.value,
    caret: field.selectionStart,
  } : null;
});
document.body.addEventListener("htmx:afterSwap", () => {
  const row = meanwhile && document.getElementById(meanwhile.row);
  if (row && meanwhile.open) {
    standOpen(row.querySelector(".about"));
  }
  const field = row && meanwhile.field && document.getElementById(meanwhile.field);
  if (field) {
    field.focus();
    if (meanwhile.value !== null) {
      field.value = meanwhile.value;
      keepTyped(field);
    }
    // a date, say, has no caret
    if (meanwhile.caret !== null) {
      field.setSelectionRange(meanwhile.caret, meanwhile.caret);
    }
  }
  meanwhile = null;
});

// A browser takes what a script put back for saved: it is worked out at once, and sent when the field is left.
function keepTyped(field) {
  let sent = false;
  field.addEventListener("change", () => (sent = true), { once: true });
  field.addEventListener("blur", () => sent || field.dispatchEvent(new Event("change", { bubbles: true })), { once: true });
  field.dispatchEvent(new Event("input", { bubbles: true }));
}

// After a change to the week its sums and findings are drawn anew; typing alone changes nothing yet.
document.body.addEventListener("htmx:afterRequest", (event) => {
  const { verb, path } = event.detail.requestConfig ?? {};
  const panel = document.getElementById("week-panel");
  if (panel && event.detail.successful && verb === "post" && !path.includes("/week/line")) {
    htmx.trigger(panel, "stale");
  }
});

// What is chosen by arrow is told to a screen reader.
function announce(text) {
  let live = document.getElementById("announced");
  if (!live) {
    live = document.createElement("p");
    live.id = "announced";
    live.className = "visually-hidden";
    live.setAttribute("role", "status");
    document.body.append(live);
  }
  live.textContent = text;
}

// Lines of a session are moved by their handle: arrow up and down, or dragging.
const move = (handle, values, byKey) => {
  const day = handle.closest(".day");
  const slot = handle.closest(".slot").id;
  htmx.ajax("POST", handle.dataset.move, { target: "#" + day.id, swap: "outerHTML", values })
    .then(() => byKey && document.querySelector("#" + slot + " .handle")?.focus());
};
document.body.addEventListener("keydown", (event) => {
  const handle = event.target.closest?.("button.handle");
  if (handle && (event.key === "ArrowUp" || event.key === "ArrowDown")) {
    event.preventDefault();
    move(handle, { by: event.key === "ArrowUp" ? -1 : 1 }, true);
  }
});
// Dragging by pointer, so that a mouse, a pen and a thumb do the same: over the upper half of a line it goes before it, over the
// lower half behind it, over another day to the end of that day. Escape puts it back.
let carried = null;
const unmark = () => document.querySelectorAll(".drop-before, .drop-after, .drop-here")
  .forEach((marked) => marked.classList.remove("drop-before", "drop-after", "drop-here"));
const over = (event) => {
  const under = document.elementFromPoint(event.clientX, event.clientY);
  const day = under?.closest(".day");
  if (!day) {
    return null;
  }
  const slot = under.closest(".slot[data-slot]:not(.is-again)");
  if (day !== carried.closest(".day")) {
    return { day };
  }
  if (!slot || slot === carried.closest(".slot")) {
    return null;
  }
  const box = slot.getBoundingClientRect();
  return { day, slot, before: event.clientY < box.top + box.height / 2 };
};
function letGo() {
  carried?.closest(".slot")?.classList.remove("is-carried");
  document.body.classList.remove("carrying");
  carried = null;
  unmark();
}
document.body.addEventListener("pointerdown", (event) => {
  const handle = event.target.closest?.("button.handle");
  if (handle && event.button === 0) {
    handle.setPointerCapture(event.pointerId);
    handle.focus();
    event.preventDefault();
    carried = handle;
    handle.closest(".slot").classList.add("is-carried");
    document.body.classList.add("carrying");
  }
});
document.body.addEventListener("pointermove", (event) => {
  if (!carried) {
    return;
  }
  unmark();
  const at = over(event);
  if (at?.slot) {
    at.slot.classList.add(at.before ? "drop-before" : "drop-after");
  } else if (at) {
    at.day.classList.add("drop-here");
  }
  const edge = 60;
  if (event.clientY < edge || event.clientY > innerHeight - edge) {
    scrollBy(0, event.clientY < edge ? -18 : 18);
  }
});
document.body.addEventListener("pointerup", (event) => {
  if (!carried) {
    return;
  }
  const handle = carried;
  const at = over(event);
  letGo();
  if (at?.slot) {
    const all = [...at.day.querySelectorAll(".slot[data-slot]:not(.is-again)")];
    const next = at.before ? at.slot : all[all.indexOf(at.slot) + 1];
    if (next !== handle.closest(".slot")) {
      move(handle, { before: next ? next.dataset.slot : 0 });
    }
  } else if (at) {
    htmx.ajax("POST", handle.dataset.move.replace(/move$/, "to"), { target: "#board", swap: "outerHTML", values: { to: at.day.id.slice(4) } });
  }
});
document.body.addEventListener("pointercancel", letGo);
document.addEventListener("keydown", (event) => event.key === "Escape" && carried && letGo());

// Fields that only prepare what a button beside them does: changing them saves nothing.
document.documentElement.addEventListener("change", (event) => event.target.matches?.("[data-waits]") && event.stopPropagation(), true);

// A day that is drawn anew leaves the focus where the work is, and open what was open.
let place = null;
document.body.addEventListener("htmx:beforeSwap", (event) => {
  const target = event.detail.target;
  if (!target?.matches?.(".day, #board")) {
    place = null;
    return;
  }
  const field = document.activeElement;
  const slot = target.contains(field) ? field.closest(".slot[data-slot]") : null;
  const day = slot?.closest(".day");
  place = {
    field: target.contains(field) ? field.id : "",
    slot: slot?.id,
    handle: field?.matches?.(".handle"),
    day: day?.id,
    at: day ? [...day.querySelectorAll(".slot[data-slot]")].indexOf(slot) : -1,
    open: [...target.querySelectorAll(".slot[data-slot] .about[open]")].map((about) => about.closest(".slot").id),
  };
});
document.body.addEventListener("htmx:afterSettle", () => {
  if (!place) {
    return;
  }
  const { field, slot, handle, day, at, open } = place;
  place = null;
  open.forEach((id) => document.getElementById(id)?.querySelector(".about")?.setAttribute("open", ""));
  if (!slot || document.activeElement !== document.body) {
    return;
  }
  const same = document.getElementById(slot);
  const lines = [...(document.getElementById(day)?.querySelectorAll(".slot[data-slot]") ?? [])];
  const line = same ?? lines[Math.min(at, lines.length - 1)];
  const to = (field && document.getElementById(field)) || (handle && line?.querySelector(".handle")) || line?.querySelector(".work[name=work]")
    || document.querySelector(`#${day} .add summary`);
  to?.focus();
});

// Rows copied from a spreadsheet into a line of the board go to the page that takes tables.
const SHEET_ROWS = "yarbel-rows";
document.body.addEventListener("paste", (event) => {
  const text = event.clipboardData?.getData("text/plain") ?? "";
  const sheet = document.querySelector('.week-bar a[href*="/sheet"]');
  if (sheet && text.includes("\t") && event.target.matches("input.work, input.lift")) {
    event.preventDefault();
    sessionStorage.setItem(SHEET_ROWS, text);
    location.href = sheet.href;
  }
});
const rows = document.getElementById("rows");
if (rows && sessionStorage.getItem(SHEET_ROWS)) {
  rows.value = rows.value || sessionStorage.getItem(SHEET_ROWS);
  sessionStorage.removeItem(SHEET_ROWS);
  rows.focus();
}

// Ctrl-Z and Ctrl-Y outside a field undo and do again on the board; inside a field they belong to its text.
document.body.addEventListener("keydown", (event) => {
  const key = event.key.toLowerCase();
  if ((event.ctrlKey || event.metaKey) && (key === "z" || key === "y") && !event.target.matches("input, textarea, select")) {
    const buttons = document.querySelectorAll(".steps button");
    const button = buttons[key === "y" || event.shiftKey ? 1 : 0];
    if (button && !button.disabled) {
      event.preventDefault();
      button.click();
    }
  }
});

// A signed-out phone keeps no cards; entries of a sign-in that ended by itself stay until they are sent.
if (location.pathname === "/login" && "caches" in window) {
  caches.delete("yarbel-cards");
}
if ("serviceWorker" in navigator && window.isSecureContext) {
  // an address that is not trusted has none; "My training" says so
  navigator.serviceWorker.register("/sw.js").catch(() => {});
}

// The weeks of the Runway: one of them takes part in the order of Tab, arrow keys go from week to week, and what is pointed
// at or reached is said below the picture.
const runwayWeeks = () => [...document.querySelectorAll(".rw-week")];
function lookAt(week) {
  const said = document.querySelector(".rw-said");
  if (said && week) {
    runwayWeeks().forEach((other) => other.classList.toggle("here", other === week));
    said.textContent = week.getAttribute("aria-label");
  }
}
for (const moment of ["focusin", "pointerover"]) {
  document.body.addEventListener(moment, (event) => lookAt(event.target.closest?.(".rw-week")));
}
document.body.addEventListener("keydown", (event) => {
  const week = event.target.closest?.(".rw-week");
  const step = { ArrowRight: 1, ArrowLeft: -1, Home: -1000, End: 1000 }[event.key];
  if (week && step) {
    event.preventDefault();
    const all = runwayWeeks();
    const to = all[Math.min(Math.max(all.indexOf(week) + step, 0), all.length - 1)];
    all.forEach((other) => other.setAttribute("tabindex", other === to ? "0" : "-1"));
    to.focus();
  }
});

// Keys of every page: / finds, ? shows the keys, Escape closes what is open. In a field they are letters.
document.addEventListener("keydown", (event) => {
  const typing = event.target.matches?.("input, textarea, select, [contenteditable]");
  if (event.key === "/" && !typing && !event.ctrlKey && !event.metaKey && !event.altKey) {
    const field = document.getElementById("anywhere");
    if (field) {
      event.preventDefault();
      const menu = document.getElementById("menu");
      if (getComputedStyle(menu).display === "none") {
        menu.showPopover();
      }
      field.focus();
    }
  } else if (event.key === "?" && !typing) {
    location.href = "/keys";
  } else if (event.key === "Escape") {
    document.querySelectorAll(".sub[open]").forEach((open) => { open.open = false; open.querySelector("summary").focus(); });
    closeFound();
  }
});
document.addEventListener("click", (event) => {
  document.querySelectorAll(".sub[open]").forEach((open) => open.contains(event.target) || (open.open = false));
  if (!event.target.closest(".anywhere")) {
    closeFound();
  }
});
function closeFound() {
  const found = document.getElementById("found");
  if (found?.firstElementChild) {
    found.replaceChildren();
    document.getElementById("anywhere").value = "";
  }
}
// arrow keys go through what was found, Enter takes the first
document.addEventListener("keydown", (event) => {
  const box = event.target.closest?.(".anywhere");
  const all = box ? [...box.querySelectorAll("#found a")] : [];
  if (all.length === 0) {
    return;
  }
  const at = all.indexOf(document.activeElement);
  if (event.key === "ArrowDown" || event.key === "ArrowUp") {
    event.preventDefault();
    const to = at + (event.key === "ArrowDown" ? 1 : -1);
    (all[to] ?? document.getElementById("anywhere")).focus();
  } else if (event.key === "Enter" && at < 0) {
    event.preventDefault();
    all[0].click();
  }
});

// A page that comes back because something was wrong opens at it, not at its head.
const wrong = document.querySelector('#main [aria-invalid="true"]');
if (wrong) {
  wrong.closest("details")?.setAttribute("open", "");
  wrong.focus({ preventScroll: true });
  wrong.scrollIntoView({ block: "center" });
}
