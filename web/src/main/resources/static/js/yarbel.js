// What every page needs. No load is computed in any of our scripts: the Card looks loads up in the table it was issued with.
document.documentElement.classList.add("js");

document.body.addEventListener("htmx:configRequest", (event) => {
  const token = document.querySelector('meta[name="csrf"]');
  if (token && event.detail.verb !== "get") {
    event.detail.headers["X-CSRF-TOKEN"] = token.content;
  }
});

// A field with a list offers what begins like its text: typing replaces the whole of it.
for (const moment of ["focusin", "click"]) {
  document.body.addEventListener(moment, (event) => {
    if (event.target.matches("input.lift[list]")) {
      event.target.select();
    }
  });
}

document.body.addEventListener("htmx:sendError", () => say("No connection: nothing was sent. What you typed is still here."));
document.body.addEventListener("htmx:responseError", (event) => {
  const status = event.detail.xhr.status;
  say(status === 403 ? "Sign in again in another tab, then repeat this: what you typed is still here."
    : "That did not work, and nothing was saved. What you typed is still here; try again.");
});

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

// A signed-out phone keeps no cards; entries that were not sent yet stay until they are.
if (location.pathname === "/login" && "caches" in window) {
  caches.delete("yarbel-cards");
}
if ("serviceWorker" in navigator && window.isSecureContext) {
  navigator.serviceWorker.register("/sw.js");
}
