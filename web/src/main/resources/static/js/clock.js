// The clocks of the Card: rest, clusters, density, every minute, holds, time limits and tempo. They count seconds only;
// what is lifted stands on the card. Each signal, sound, vibration and flash, can be muted, and each clock works without.

const LEAD = 3;
const signals = () => document.getElementById("signals");
const { muted, tone } = window.yarbelSignals;

// ---- signals

function signal(kind, face) {
  const [frequency, long, buzz] = { tick: [660, 70, [40]], go: [990, 350, [250]], end: [440, 700, [200, 100, 200]] }[kind];
  tone(frequency, long);
  if (!muted("vibration")) {
    navigator.vibrate?.(buzz);
  }
  if (face && !muted("flash")) {
    face.classList.add("flash");
    setTimeout(() => face.classList.remove("flash"), long);
  }
}

const tenths = (seconds) => Math.round(10 * seconds) / 10;
const shown = (seconds) => {
  const whole = Math.max(Math.ceil(seconds - 0.05), 0);
  return whole < 100 ? String(whole) : Math.floor(whole / 60) + ":" + String(whole % 60).padStart(2, "0");
};

// ---- clocks: the state of each is kept by its key, so that it runs on when the card around it is drawn anew

const states = new Map();
const now = () => Date.now() / 1000;
const boxOf = (key) => [...document.querySelectorAll(".panel:not([hidden]) .clock")].find((box) => box.dataset.key === key);
const number = (box, name) => Number(box.dataset[name]) || 0;

function state(box) {
  if (!states.has(box.dataset.key)) {
    states.set(box.dataset.key, { phase: "ready", made: 0, said: "" });
  }
  return states.get(box.dataset.key);
}

function say(box, face, word) {
  box.querySelector(".clock-face").textContent = face;
  const line = box.querySelector(".clock-word");
  if (line.textContent !== word) {
    line.textContent = word;
  }
}

function acts(box, buttons) {
  const row = box.querySelector(".clock-acts");
  const wanted = buttons.map(([text]) => text).join("|");
  if (row.dataset.shows !== wanted) {
    row.dataset.shows = wanted;
    row.replaceChildren(...buttons.map(([text, act, main]) => {
      const button = document.createElement("button");
      button.type = "button";
      button.className = main ? "btn btn-go" : "btn btn-plain";
      button.textContent = text;
      button.addEventListener("click", act);
      return button;
    }));
  }
}

// Writes what a clock counted into the panel's fields; nothing is sent before the lifter says so.
function fill(box, field, value) {
  const input = box.closest(".panel").querySelector(`[name="${field}"]`);
  if (input) {
    input.value = String(value);
  }
}

// Once for each second that a countdown shows: ticks in the lead-in, a signal at nought.
function counts(it, box, left, atNought) {
  const second = Math.ceil(left - 0.05);
  if (second !== it.second) {
    it.second = second;
    if (second <= 0) {
      signal(atNought, box.querySelector(".clock-face"));
    } else if (second <= LEAD) {
      signal("tick", box.querySelector(".clock-face"));
    }
  }
}

const start = (it, phase, extra) => Object.assign(it, { phase, since: now(), second: null }, extra);

const clocks = {
  // singles: set down, gap with the last seconds to get set, the next single
  cluster(box, it) {
    const singles = number(box, "count");
    if (it.phase === "gap") {
      const left = it.since + number(box, "gap") - now();
      counts(it, box, left, "go");
      if (left <= 0) {
        start(it, "lift");
      } else {
        say(box, shown(left), left <= LEAD ? "get set" : `${it.made} of ${singles} made`);
        acts(box, [["Stop here", () => end()]]);
      }
    }
    const end = () => { start(it, "over"); fill(box, "reps", it.made); };
    if (it.phase === "ready") {
      say(box, String(singles), "singles");
      acts(box, [["Start the round", () => { signal("go", box.querySelector(".clock-face")); start(it, "lift", { made: 0 }); }, true]]);
    } else if (it.phase === "lift") {
      say(box, String(it.made + 1), `single ${it.made + 1} of ${singles}: lift`);
      acts(box, [["Set down", () => { it.made++; it.made >= singles ? (signal("end", box.querySelector(".clock-face")), end()) : start(it, "gap"); }, true],
        ["Missed it", end]]);
    } else if (it.phase === "over") {
      say(box, `${it.made} of ${singles}`, it.made < number(box, "enough") ? box.dataset.advice : "round over");
      acts(box, [["Again", () => start(it, "ready", { made: 0 })]]);
    }
  },
  // as many singles as go in the time; a miss ends it, stopping by choice is no miss
  density(box, it) {
    const goal = number(box, "count");
    const end = (word, why = "") => { start(it, "over", { word }); fill(box, "reps", it.made); fill(box, "stopped", why); };
    if (it.phase === "ready") {
      say(box, shown(number(box, "seconds")), box.dataset.advice);
      acts(box, [["Start", () => { signal("go", box.querySelector(".clock-face")); start(it, "run", { made: 0 }); }, true]]);
    } else if (it.phase === "run") {
      const left = it.since + number(box, "seconds") - now();
      counts(it, box, left, "end");
      if (left <= 0) {
        end("time is up");
      } else {
        const wanted = goal - it.made;
        say(box, shown(left), wanted > 0 ? `${it.made} of ${goal} made, ${Math.floor(left / wanted)} s for each still wanted` : `${it.made} made, the goal is reached`);
        acts(box, [["Single made", () => { it.made++; signal("tick", box.querySelector(".clock-face")); }, true],
          ["Missed: it ends", () => end("a miss ended it", "MISS")], ["Stop by choice", () => end("stopped by choice, no miss", "CHOICE")]]);
      }
    } else {
      say(box, `${it.made} of ${goal}`, it.word);
      acts(box, [["Again", () => start(it, "ready", { made: 0 })]]);
    }
  },
  // a start every so often
  emom(box, it) {
    const every = number(box, "every");
    const sets = number(box, "count");
    if (it.phase === "run") {
      const gone = now() - it.since;
      const set = Math.floor(gone / every) + 1;
      const left = every - (gone % every);
      if (set > sets) {
        start(it, "over");
        signal("end", box.querySelector(".clock-face"));
      } else {
        if (set !== it.set) {
          it.set = set;
          it.second = null;
          signal("go", box.querySelector(".clock-face"));
        } else if (left <= LEAD && Math.ceil(left) !== it.second) {
          it.second = Math.ceil(left);
          signal("tick", box.querySelector(".clock-face"));
        }
        say(box, shown(left), `set ${set} of ${sets}${gone % every < 5 ? ": go" : ""}`);
        acts(box, [["Stop", () => start(it, "ready", { set: 0 })]]);
      }
    }
    if (it.phase === "ready") {
      say(box, shown(every), `${sets} starts`);
      acts(box, [["Start", () => start(it, "run", { set: 0 }), true]]);
    } else if (it.phase === "over") {
      say(box, "0", "all starts done");
      acts(box, [["Again", () => start(it, "ready", { set: 0 })]]);
    }
  },
  // three seconds to get set, then down to nought
  hold(box, it) {
    const seconds = number(box, "seconds");
    if (it.phase === "lead") {
      const left = it.since + LEAD - now();
      counts(it, box, left, "go");
      if (left <= 0) {
        start(it, "run");
      } else {
        say(box, shown(left), "get set");
        acts(box, [["Stop", () => start(it, "ready")]]);
      }
    }
    if (it.phase === "run") {
      const left = it.since + seconds - now();
      counts(it, box, left, "end");
      if (left <= 0) {
        start(it, "over", { held: seconds });
        fill(box, "seconds", seconds);
      } else {
        say(box, shown(left), "go");
        acts(box, [["Let go", () => { const held = tenths(now() - it.since); start(it, "over", { held }); fill(box, "seconds", held); }, true]]);
      }
    }
    if (it.phase === "ready") {
      say(box, shown(seconds), "");
      acts(box, [["Start", () => start(it, "lead"), true]]);
    } else if (it.phase === "over") {
      say(box, it.held + " s", it.held >= seconds ? "all of it" : "let go");
      acts(box, [["Again", () => start(it, "ready")]]);
    }
  },
  // the time something takes, against the time allowed where there is one
  limit(box, it) {
    const seconds = number(box, "seconds");
    if (it.phase === "run") {
      const gone = now() - it.since;
      const left = seconds - gone;
      if (seconds > 0) {
        counts(it, box, left, "end");
      }
      if (seconds > 0 && left <= 0) {
        start(it, "over", { took: seconds, word: "time is up" });
        fill(box, "seconds", seconds);
      } else {
        say(box, shown(seconds > 0 ? left : gone), seconds > 0 ? "left" : "");
        acts(box, [["There", () => { const took = tenths(now() - it.since); start(it, "over", { took, word: "taken" }); fill(box, "seconds", took); }, true]]);
      }
    }
    if (it.phase === "ready") {
      say(box, seconds > 0 ? shown(seconds) : "0", "");
      acts(box, [["Start", () => { signal("go", box.querySelector(".clock-face")); start(it, "run"); }, true]]);
    } else if (it.phase === "over") {
      say(box, it.took + " s", it.word);
      acts(box, [["Again", () => start(it, "ready")]]);
    }
  },
  // a metronome: each second of each phase, X as one beat
  tempo(box, it) {
    const words = ["down", "hold", "up", "hold"];
    const beats = box.dataset.tempo.split("-").flatMap((figure, phase) =>
      figure === "X" ? [[words[phase], "fast"]] : Array.from({ length: Number(figure) }, (_, i) => [words[phase], String(i + 1)]));
    const reps = number(box, "count");
    if (it.phase === "run") {
      const beat = Math.floor(now() - it.since) - LEAD;
      const rep = Math.floor(beat / beats.length) + 1;
      if (beat !== it.beat) {
        it.beat = beat;
        const first = beat >= 0 && (beat % beats.length === 0 || beats[beat % beats.length][0] !== beats[(beat % beats.length) - 1]?.[0]);
        signal(first ? "go" : "tick", box.querySelector(".clock-face"));
      }
      if (beats.length === 0 || reps > 0 && rep > reps) {
        start(it, "ready");
      } else if (beat < 0) {
        say(box, String(-beat), "get set");
      } else {
        const [word, count] = beats[beat % beats.length];
        say(box, word === "up" && count === "fast" ? "up!" : word + " " + count, reps > 0 ? `rep ${rep} of ${reps}` : `rep ${rep}`);
      }
      acts(box, [["Stop", () => start(it, "ready")]]);
    }
    if (it.phase === "ready") {
      say(box, box.dataset.tempo, "");
      acts(box, [["Start the beat", () => start(it, "run", { beat: null }), true]]);
    }
  },
};

// ---- rest

const restKey = () => "yarbel-rest-" + document.getElementById("card")?.dataset.session;
let restSecond = null;

function rest(seconds, label) {
  if (seconds > 0) {
    sessionStorage.setItem(restKey(), JSON.stringify({ until: now() + seconds, label }));
    restSecond = null;
  }
}

function drawRest() {
  const kept = JSON.parse(sessionStorage.getItem(restKey()) || "null");
  const box = document.getElementById("rest");
  if (!box) {
    return;
  }
  box.hidden = kept === null;
  if (kept === null) {
    return;
  }
  const left = kept.until - now();
  const second = Math.ceil(left - 0.05);
  const face = box.querySelector(".rest-face");
  face.textContent = left > 0 ? Math.floor(second / 60) + ":" + String(second % 60).padStart(2, "0") : "go";
  document.getElementById("rest-label").textContent = kept.label;
  if (second !== restSecond && second <= LEAD) {
    if (second > 0) {
      signal("tick", face);
    } else if (restSecond !== null && restSecond > 0) {
      signal("go", face);
      document.getElementById("rest-word").textContent = "Rest is over: " + kept.label;
    }
  }
  restSecond = second;
  // half a minute after its end nobody waits for it any more
  if (left < -30) {
    sessionStorage.removeItem(restKey());
  }
}

document.addEventListener("yarbel:logged", (event) => rest(event.detail.rest, event.detail.next));
// nobody rests for a set that is not to come
document.addEventListener("yarbel:ended", () => sessionStorage.removeItem(restKey()));

// ---- the screen stays on while a session runs, where the browser gives that

let lock = null;
async function stayAwake() {
  if (lock !== null || !("wakeLock" in navigator) || document.visibilityState !== "visible") {
    return;
  }
  try {
    lock = await navigator.wakeLock.request("screen");
    document.getElementById("awake").hidden = false;
    lock.addEventListener("release", () => {
      lock = null;
      document.getElementById("awake").hidden = true;
    });
  } catch {
    lock = null;
  }
}
document.addEventListener("pointerdown", () => {
  if (document.querySelector('.panel[data-logged="false"]')) {
    stayAwake();
  } else {
    lock?.release();
  }
});
document.addEventListener("visibilitychange", () => {
  if (document.querySelector('.panel[data-logged="true"]') && document.querySelector('.panel[data-logged="false"]')) {
    stayAwake();
  }
});

// ---- buttons

document.addEventListener("click", (event) => {
  const mute = event.target.closest("[data-mute]");
  if (mute) {
    localStorage.setItem("yarbel-mute-" + mute.dataset.mute, muted(mute.dataset.mute) ? "0" : "1");
    drawMutes();
  }
  const by = event.target.closest("[data-rest-by]");
  const kept = JSON.parse(sessionStorage.getItem(restKey()) || "null");
  if (by && kept) {
    sessionStorage.setItem(restKey(), JSON.stringify({ ...kept, until: Math.max(kept.until, now()) + Number(by.dataset.restBy) }));
    restSecond = null;
  }
  if (event.target.closest("[data-rest-stop]")) {
    sessionStorage.removeItem(restKey());
  }
  if (event.target.closest(".print")) {
    window.print();
  }
  draw();
});

function drawMutes() {
  for (const button of document.querySelectorAll("[data-mute]")) {
    button.setAttribute("aria-pressed", String(!muted(button.dataset.mute)));
  }
}

function draw() {
  for (const box of document.querySelectorAll(".panel:not([hidden]) .clock")) {
    clocks[box.dataset.clock]?.(box, state(box));
  }
  // a clock that several sets share runs on while another line is looked at
  for (const [key, it] of states) {
    if (it.phase === "run" && !boxOf(key)) {
      const hidden = [...document.querySelectorAll(".clock")].find((box) => box.dataset.key === key);
      if (hidden) {
        clocks[hidden.dataset.clock](hidden, it);
      }
    }
  }
  drawRest();
}

if (signals()) {
  signals().hidden = false;
  drawMutes();
  draw();
  setInterval(draw, 100);
}
