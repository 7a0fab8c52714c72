// Training now: rows of those who lift, written down one by one, and kept fresh while others write, too.

const outbox = window.yarbelOutbox;
const rows = () => document.getElementById("now");
const FRESH_EVERY = 10000;

document.addEventListener("submit", onSubmit);
document.addEventListener("yarbel:answered", onAnswered);
document.addEventListener("yarbel:waits", ({ detail }) => said(rowOf(detail.entry), "Kept on this device until there is signal."));
document.addEventListener("keydown", onKey);
document.addEventListener("input", (event) => event.target.closest(".now-row")?.setAttribute("data-touched", ""));
setInterval(() => document.visibilityState === "visible" && fresh(), FRESH_EVERY);

const rowOf = (entry) => document.getElementById("now-" + (entry.url.match(/^\/sessions\/(\d+)\//) ?? [])[1]);

function said(row, text) {
  const line = row?.querySelector(".now-said");
  if (line) {
    line.textContent = text;
    line.hidden = text === "";
  }
}

async function onSubmit(event) {
  const form = event.target.closest(".now-set, .now-begin");
  if (!form) {
    return;
  }
  event.preventDefault();
  const body = outbox.fields(form, event.submitter);
  const panel = form.dataset.panel ?? "";
  const figures = body.get("load") + (body.get("outcome") === "missed" ? ", missed" : " × " + body.get("reps"));
  const url = form.getAttribute("action");
  await outbox.take({ url, body: body.toString(), key: body.get("key") ?? url, panel, place: panel || "begin",
    words: panel ? form.dataset.words + ": " + figures : "a card" });
}

async function onAnswered({ detail }) {
  const row = rowOf(detail.entry);
  if (!row) {
    return;
  }
  if (detail.ok) {
    row.removeAttribute("data-touched");
    const next = row.nextElementSibling;
    await fresh();
    focusOn(next ?? row);
    return;
  }
  if (!detail.here) {
    return;
  }
  const panel = new DOMParser().parseFromString(detail.html, "text/html").getElementById("panel-" + detail.entry.panel);
  const doubt = panel?.querySelector('.said.wrong');
  const why = [...(panel?.querySelectorAll('[role="alert"], .field-error') ?? [])].map((one) => (one.querySelector("span") ?? one).textContent.trim());
  said(row, why.filter((text) => text).join(" ") || "That set is no longer there: look at the card.");
  ask(row, doubt);
  outbox.asking(detail.entry.id);
}

// What was asked about is answered in the row: it is right as typed, or the load was another one.
function ask(row, doubt) {
  row.querySelectorAll(".now-ask").forEach((button) => button.remove());
  doubt?.querySelectorAll("button").forEach((asked) => {
    const button = Object.assign(document.createElement("button"), { type: "submit", className: "btn btn-plain now-ask", textContent: asked.textContent,
      name: asked.name, value: asked.value });
    const was = doubt.querySelector('[name="was"]');
    const form = row.querySelector("form");
    if (was && !form.querySelector('[name="was"]')) {
      form.append(Object.assign(document.createElement("input"), { type: "hidden", name: "was", value: was.value }));
    }
    form.append(button);
  });
}

// Rows that somebody is at stay as they are; the others are shown as they stand now.
let asking = false;
async function fresh() {
  if (asking) {
    return;
  }
  asking = true;
  try {
    const answer = await fetch("/now", { headers: { "HX-Request": "true" }, redirect: "error" });
    if (!answer.ok) {
      return;
    }
    const told = new DOMParser().parseFromString(await answer.text(), "text/html").getElementById("now");
    const there = [...rows().querySelectorAll(".now-row")];
    const wanted = [...told.querySelectorAll(".now-row")];
    if (there.length === 0 || wanted.some((row) => !document.getElementById(row.id)) || wanted.length !== there.length) {
      rows().replaceWith(document.adoptNode(told));
      return;
    }
    for (const row of wanted) {
      const old = document.getElementById(row.id);
      const busy = old.hasAttribute("data-touched") || old.contains(document.activeElement);
      if (old.dataset.stamp !== row.dataset.stamp && !(busy && old.querySelector(".now-set")?.dataset.panel === row.querySelector(".now-set")?.dataset.panel)) {
        keepTyped(old, row);
        old.replaceWith(document.adoptNode(row));
      }
    }
  } catch {
    // without signal the rows stay as they are
  } finally {
    asking = false;
  }
}

// Somebody else has written the set down that is being typed here: that is told, and what was typed is not lost without a word.
function keepTyped(old, row) {
  if (old.hasAttribute("data-touched")) {
    const form = row.querySelector(".now-set");
    const typed = old.querySelector('[name="load"]')?.value + " × " + old.querySelector('[name="reps"]')?.value;
    if (form) {
      const line = row.querySelector(".now-said");
      line.textContent = "Meanwhile this set was written down by somebody else. You had " + typed + ".";
      line.hidden = false;
    }
  }
}

function focusOn(row) {
  const wanted = document.getElementById(row?.id ?? "");
  wanted?.querySelector('input[name="load"], button')?.focus();
}

// Up and down go to the same field of the next lifter.
function onKey(event) {
  const row = event.target.closest?.(".now-row");
  if (!row || event.key !== "ArrowUp" && event.key !== "ArrowDown" || event.target.tagName === "SELECT") {
    return;
  }
  const all = [...rows().querySelectorAll(".now-row")].filter((one) => one.querySelector("input:not([type=hidden]), button"));
  const to = all[all.indexOf(row) + (event.key === "ArrowDown" ? 1 : -1)];
  if (to) {
    event.preventDefault();
    (to.querySelector(`[name="${event.target.name}"]:not([type="hidden"])`) ?? to.querySelector("input:not([type=hidden]), button")).focus();
  }
}
