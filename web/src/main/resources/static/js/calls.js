// Calls by keys alone, on the page of the club and in the weekly look. A letter presses what stands on the screen: nothing is decided here.
const calls = () => [...document.querySelectorAll(".call")];
const open = () => calls().filter((call) => !call.classList.contains("is-decided"));
let last = null;

function at() {
  return document.activeElement?.closest?.(".call") ?? document.querySelector(".call.is-here") ?? open()[0] ?? calls()[0];
}

function go(call) {
  if (call) {
    document.querySelectorAll(".call.is-here").forEach((other) => other.classList.remove("is-here"));
    call.classList.add("is-here");
    call.focus({ preventScroll: true });
    call.scrollIntoView({ block: "nearest" });
  }
}

function edit(call) {
  const form = call.querySelector(".call-form");
  const editing = form?.classList.toggle("is-editing");
  const chosen = form?.querySelector("input[name=proposal]:checked")?.closest(".proposal");
  if (editing) {
    (chosen ?? form).querySelector(".as-field")?.focus();
  }
}

// A field is always entered: a letter that opened none would leave the words that follow to decide as letters. Else nothing is pressed
// while a call is being decided, so that twice is once; a line whose loads are on their way decides nothing.
const press = (root, key) => {
  const found = [...(root?.querySelectorAll(`[data-key="${key}"]`) ?? [])].find((button) => button.offsetParent !== null);
  if (found?.matches("input, textarea")) {
    found.focus();
    return true;
  }
  if (root !== document && root?.querySelector("form.htmx-request")) {
    return true;
  }
  found?.click();
  return Boolean(found);
};

document.addEventListener("keydown", (event) => {
  const typing = event.target.matches?.("input:not([type=radio]):not([type=checkbox]), textarea, select");
  if (event.ctrlKey || event.metaKey || event.altKey) {
    return;
  }
  if (typing) {
    if (event.key === "Escape") {
      event.target.blur();
      go(event.target.closest(".call") ?? at());
    }
    return;
  }
  const call = at();
  const key = event.key.toLowerCase();
  const all = calls();
  let done = true;
  if (key === "j" || key === "k") {
    const here = document.activeElement?.closest?.(".call") ? all.indexOf(call) : -1;
    go(all[Math.min(Math.max(here + (key === "j" ? 1 : -1), 0), all.length - 1)]);
  } else if (/^[1-9]$/.test(key) && call) {
    const radio = call.querySelectorAll("input[name=proposal]")[Number(key) - 1];
    if (radio) {
      radio.checked = true;
      go(call);
    }
  } else if (key === "e" && call) {
    edit(call);
  } else if (key === "f" && call) {
    call.querySelectorAll(".call-facts").forEach((facts) => (facts.open = !facts.open));
  } else if (key === "c" && call) {
    press(call.querySelector(".proposal:has(input:checked)") ?? call, "c");
  } else if ("trlm".includes(key) && call) {
    done = press(call, key);
  } else if (key === "u") {
    done = press((last && document.getElementById(last)) ?? call, "u") || press(document, "u");
  } else if ("snpaw".includes(key)) {
    done = press(document, key);
  } else {
    done = false;
  }
  if (done) {
    event.preventDefault();
  }
});

document.addEventListener("click", (event) => {
  if (event.target.closest?.(".edit-lines")) {
    edit(event.target.closest(".call"));
  }
});

// Which calls are on the page, so that those come out otherwise with an answer.
document.body.addEventListener("htmx:configRequest", ({ detail }) => {
  if (detail.verb === "post" && detail.elt.closest(".call")) {
    detail.parameters.on = calls().map((call) => call.id.slice("call-".length)).join(" ");
  }
});

// What was decided stays where it was, to be undone; the next that waits is at hand. Before an answer has settled it still has the
// classes of what stood there.
document.body.addEventListener("htmx:load", ({ detail }) => {
  const call = detail.elt;
  if (call.matches?.(".call:not([data-aside])")) {
    last = call.id;
    const all = calls();
    const next = call.classList.contains("is-decided")
      ? all.slice(all.indexOf(call) + 1).find((other) => !other.classList.contains("is-decided")) : call;
    go(next ?? call);
  }
});

if (!location.hash && open().length > 0) {
  open()[0].classList.add("is-here");
}
