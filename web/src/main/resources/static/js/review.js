// Looks at a clip frame by frame, beside another, and sends the clicks on its picture: what they come to is worked out by the server.

const page = document.querySelector(".review");
const stages = [...page.querySelectorAll(".stage")].map((stage) => ({ stage, video: stage.querySelector("video"), canvas: stage.querySelector("canvas") }));
const main = stages[0];
const fps = () => Number(document.getElementById("fps").value.replace(",", ".")) || 30;
const seek = document.getElementById("seek");
let offset = 0;
// while two are being lined up, what moves is the second by itself
let alone = false;
const moved = () => (alone ? stages[1].video : main.video);
let line = null;
let take = "";
let clicks = { plate: null, start: null, end: null, path: [] };
let last = null;

for (const { stage, video, canvas } of stages) {
  video.addEventListener("error", () => (page.querySelector(".cannot").hidden = false));
  video.addEventListener("loadedmetadata", () => {
    canvas.width = video.videoWidth;
    canvas.height = video.videoHeight;
    stage.style.setProperty("--ratio", String(video.videoWidth / video.videoHeight));
    draw();
  });
  video.addEventListener("seeked", draw);
  video.addEventListener("timeupdate", tell);
  video.addEventListener("seeked", tell);
}
main.video.addEventListener("pause", () => alone || go(main.video.currentTime));

// The frame that is shown has a number, and begins at a time of its own.
const frame = (video) => Math.floor(video.currentTime * fps() + 1e-4);
const now = () => frame(main.video) / fps();

function tell() {
  const video = moved();
  document.getElementById("time").textContent = (alone ? "the other: " : "") + (frame(video) / fps()).toFixed(2) + " s, frame " + frame(video);
  document.getElementById("at").value = now().toFixed(3);
  if (document.activeElement !== seek && video.duration) {
    seek.value = String(Math.round(1000 * video.currentTime / video.duration));
  }
}

function go(time) {
  moved().currentTime = Math.max(time, 0);
  if (stages[1] && !alone) {
    stages[1].video.currentTime = Math.max(time + offset, 0);
  }
}

// Into the middle of the frame, where no rounding shows its neighbour.
const step = (by) => { pause(); go((frame(moved()) + by + 0.5) / fps()); };

// Two clips are lined up at a frame each: the second is moved by itself until it shows what the first does, and stays so far off.
function align() {
  pause();
  alone = !alone;
  pressed('[data-do="align"]', alone);
  if (!alone) {
    offset = stages[1].video.currentTime - main.video.currentTime;
  }
  hint(alone ? "Now only the second clip moves. Bring it to the frame that matches, then press Line up again." : "Lined up: both go on together from here.");
  tell();
}

function pause() {
  stages.forEach(({ video }) => video.pause());
  page.querySelector('[data-do="play"]').textContent = "Play";
}

function play() {
  if (!moved().paused) {
    pause();
    return;
  }
  stages.filter(({ video }) => !alone || video === moved()).forEach(({ video }) => video.play());
  page.querySelector('[data-do="play"]').textContent = "Pause";
}

function pressed(button, on) {
  page.querySelector(button)?.setAttribute("aria-pressed", String(on));
}

function slow() {
  const on = main.video.playbackRate === 1;
  stages.forEach(({ video }) => (video.playbackRate = on ? 0.25 : 1));
  pressed('[data-do="slow"]', on);
}

function rule() {
  line = line === null ? main.canvas.width / 2 : null;
  pressed('[data-do="line"]', line !== null);
  draw();
}

const acts = {
  back: () => step(-1), on: () => step(1), play, slow, line: rule, clear,
  align,
  seek: (button) => { pause(); go(Number(button.dataset.at) + 0.5 / fps()); },
  add: () => { const field = document.getElementById("speeds"); field.value = (field.value + " " + last.velocity.toFixed(3)).trim(); },
};

document.addEventListener("click", (event) => {
  const button = event.target.closest("[data-do], [data-take]");
  if (!button) {
    return;
  }
  if (button.dataset.take) {
    choose(button.dataset.take);
  } else {
    acts[button.dataset.do]?.(button);
  }
});

const keys = { " ": play, ",": () => step(-1), ".": () => step(1), s: slow, v: rule, p: () => choose("plate"), a: () => choose("start"), e: () => choose("end"),
  t: () => choose("path"), l: () => stages[1] && align() };
document.addEventListener("keydown", (event) => {
  if (event.target.closest("input:not([type=range]), select, textarea, button, a") && !(event.key in { ",": 1, ".": 1 } && event.target.closest("button"))
    || event.ctrlKey || event.altKey || event.metaKey) {
    return;
  }
  const act = keys[event.key.toLowerCase()];
  if (act) {
    event.preventDefault();
    act();
  }
});

seek.addEventListener("input", () => { pause(); go(Number(seek.value) / 1000 * (moved().duration || 0)); });

// What was written down is drawn anew; the picture and the clicks on it stay.
document.addEventListener("htmx:afterSwap", () => {
  page.querySelector('[data-do="add"]').disabled = last === null;
  tell();
});

// ---- clicks on the picture

const hints = { plate: "Plate: press on its middle and drag to its rim.", start: "Start: click the end of the sleeve where the rep begins.",
  end: "End: click the end of the sleeve where it is locked out.", path: "Path: click the end of the sleeve, go some frames on, click again." };
function hint(text) {
  document.getElementById("hint").textContent = text;
}

function choose(what) {
  take = take === what ? "" : what;
  for (const name of Object.keys(hints)) {
    pressed(`[data-take="${name}"]`, take === name);
  }
  hint(take === "" ? "" : hints[take]);
}

// Where in the picture somebody points, in its own pixels.
function place(event) {
  const box = main.canvas.getBoundingClientRect();
  return { x: (event.clientX - box.left) * main.canvas.width / box.width, y: (event.clientY - box.top) * main.canvas.height / box.height };
}

let dragging = "";
main.canvas.addEventListener("pointerdown", (event) => {
  event.preventDefault();
  const at = place(event);
  main.stage.focus({ preventScroll: true });
  if (take === "plate") {
    clicks.plate = { ...at, r: 0 };
    dragging = "plate";
  } else if (take === "start" || take === "end") {
    clicks[take] = { ...at, t: now() };
    choose(take);
    measure();
  } else if (take === "path") {
    clicks.path.push({ ...at, t: now() });
    measure();
  } else if (line !== null) {
    line = at.x;
    dragging = "line";
  }
  if (dragging) {
    main.canvas.setPointerCapture(event.pointerId);
  }
  draw();
});
main.canvas.addEventListener("pointermove", (event) => {
  const at = place(event);
  if (dragging === "plate") {
    clicks.plate.r = Math.hypot(at.x - clicks.plate.x, at.y - clicks.plate.y);
    draw();
  } else if (dragging === "line") {
    line = at.x;
    draw();
  }
});
main.canvas.addEventListener("pointerup", () => {
  if (dragging === "plate") {
    choose("plate");
    measure();
  }
  dragging = "";
});

function clear() {
  clicks = { plate: null, start: null, end: null, path: [] };
  last = null;
  document.getElementById("read").textContent = "";
  document.getElementById("path").hidden = true;
  page.querySelector('[data-do="add"]').disabled = true;
  draw();
}

async function measure() {
  draw();
  if (!clicks.plate || !clicks.start || !clicks.end) {
    return;
  }
  const { plate, start, end, path } = clicks;
  const body = new URLSearchParams({ _csrf: document.querySelector('meta[name="csrf"]').content, across: 2 * plate.r, plate: document.getElementById("plate").value,
    x0: start.x, y0: start.y, t0: start.t, x1: end.x, y1: end.y, t1: end.t, fps: fps(), path: path.map((one) => [one.x, one.y, one.t].join(",")).join(";") });
  let told = null;
  try {
    const answer = await fetch("/clips/" + page.dataset.clip + "/measure", { method: "POST", body, redirect: "error" });
    told = answer.ok || answer.status === 422 ? await answer.json() : null;
  } catch {
    // without signal nothing is worked out
  }
  last = told && told.refused === null ? told : null;
  document.getElementById("read").textContent = told ? told.words ?? told.refused : "Not worked out: there is no signal.";
  page.querySelector('[data-do="add"]').disabled = last === null;
  beside(told?.path ?? []);
}

// The path beside the picture, in mm: as far left and right as it went, as high as it went.
function beside(path) {
  const svg = document.getElementById("path");
  svg.toggleAttribute("hidden", path.length < 2);
  if (path.length < 2) {
    return;
  }
  const wide = Math.max(100, ...path.map((one) => Math.abs(one.right)));
  const high = Math.max(100, ...path.map((one) => one.up));
  svg.setAttribute("viewBox", [-wide * 1.2, -high * 1.05, wide * 2.4, high * 1.15].join(" "));
  const make = (name, set) => { const part = document.createElementNS("http://www.w3.org/2000/svg", name); Object.entries(set).forEach(([key, value]) =>
    part.setAttribute(key, value)); return part; };
  svg.replaceChildren(make("line", { x1: 0, x2: 0, y1: 0, y2: -high, class: "grid" }),
    make("polyline", { points: path.map((one) => one.right + "," + -one.up).join(" "), class: "line" }));
}

function draw() {
  for (const { canvas } of stages) {
    const pen = canvas.getContext("2d");
    pen.clearRect(0, 0, canvas.width, canvas.height);
    pen.lineWidth = Math.max(canvas.width / 300, 1.5);
    if (line !== null) {
      pen.strokeStyle = "#fffdf8";
      pen.beginPath();
      const x = line * canvas.width / main.canvas.width;
      pen.moveTo(x, 0);
      pen.lineTo(x, canvas.height);
      pen.stroke();
    }
  }
  const pen = main.canvas.getContext("2d");
  pen.strokeStyle = "#ff7a4d";
  if (clicks.plate) {
    pen.beginPath();
    pen.arc(clicks.plate.x, clicks.plate.y, clicks.plate.r, 0, 2 * Math.PI);
    pen.stroke();
  }
  for (const one of [clicks.start, clicks.end]) {
    if (one) {
      pen.strokeRect(one.x - 4, one.y - 4, 8, 8);
    }
  }
  pen.beginPath();
  clicks.path.forEach((one, at) => (at === 0 ? pen.moveTo(one.x, one.y) : pen.lineTo(one.x, one.y)));
  pen.stroke();
}

tell();
