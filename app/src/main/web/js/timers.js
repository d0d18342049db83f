// Soaks and drains of minutes: each timer counts down on every page, in the title, and sounds once the page has been touched.
import { message } from "./messages.js";

const TICK_MS = 500;
const RINGS_FOR_MS = 30000;

export const left = (timer, now) => Math.max(0, timer.ends - now);

/** "4:05", "1:02:00". */
export function clock(ms) {
  const seconds = Math.ceil(ms / 1000);
  const two = (n) => String(n).padStart(2, "0");
  const hours = Math.floor(seconds / 3600);
  const minutes = Math.floor(seconds / 60) % 60;
  return hours > 0 ? `${hours}:${two(minutes)}:${two(seconds % 60)}` : `${minutes}:${two(seconds % 60)}`;
}

/** The timers of one person in this browser. */
export class Timers {
  constructor(owner, storage = localStorage) {
    this.key = `vivarium.timers ${owner}`;
    this.storage = storage;
  }

  get all() {
    try {
      return JSON.parse(this.storage.getItem(this.key) ?? "[]");
    } catch {
      return [];
    }
  }

  keep(timers) {
    this.storage.setItem(this.key, JSON.stringify(timers));
  }

  add(name, minutes, now = Date.now()) {
    this.keep([...this.all, { id: crypto.randomUUID(), name, ends: now + minutes * 60000 }].sort((a, b) => a.ends - b.ends));
  }

  remove(id) {
    this.keep(this.all.filter((t) => t.id !== id));
  }
}

class Bell {
  constructor() {
    // Browsers let a page sound only after somebody has touched it.
    const touched = () => {
      this.audio ??= new AudioContext();
    };
    document.addEventListener("pointerdown", touched, { once: true });
    document.addEventListener("keydown", touched, { once: true });
  }

  ring() {
    if (!this.audio) {
      return;
    }
    const tone = this.audio.createOscillator();
    const loud = this.audio.createGain();
    loud.gain.setValueAtTime(0.2, this.audio.currentTime);
    loud.gain.exponentialRampToValueAtTime(0.001, this.audio.currentTime + 0.4);
    tone.frequency.value = 880;
    tone.connect(loud).connect(this.audio.destination);
    tone.start();
    tone.stop(this.audio.currentTime + 0.4);
  }
}

let shared;

export function start(strip) {
  const timers = new Timers(document.body.dataset.owner);
  shared = timers;
  const bell = new Bell();
  const title = document.title;
  let rang = 0;
  let lines = "";

  const draw = () => {
    const now = Date.now();
    const all = timers.all;
    const over = all.filter((t) => left(t, now) === 0);
    const next = all.find((t) => left(t, now) > 0);
    strip.hidden = all.length === 0;
    if (all.map((t) => t.id).join() !== lines) {
      lines = all.map((t) => t.id).join();
      strip.replaceChildren(...all.map((t) => line(t)));
    }
    for (const t of all) {
      const shown = strip.querySelector(`[data-timer="${t.id}"] [data-left]`);
      shown.textContent = left(t, now) > 0 ? clock(left(t, now)) : message("timers.over-since", { time: clock(now - t.ends) });
      shown.classList.toggle("behind", left(t, now) === 0);
    }
    document.title = over.length > 0 ? message("timers.over", { name: over[0].name, title }) : next ? `${clock(left(next, now))} ${next.name} · ${title}` : title;
    if (over.some((t) => now - t.ends < RINGS_FOR_MS) && now - rang > 1900) {
      rang = now;
      bell.ring();
    }
  };

  const line = (timer) => {
    const p = document.createElement("p");
    p.dataset.timer = timer.id;
    const name = document.createElement("strong");
    name.textContent = timer.name;
    const time = document.createElement("span");
    time.dataset.left = "";
    time.setAttribute("role", "timer");
    const stop = document.createElement("button");
    stop.type = "button";
    stop.className = "quiet";
    stop.textContent = message("timers.stop");
    stop.setAttribute("aria-label", message("timers.stop-it", { name: timer.name }));
    stop.addEventListener("click", () => {
      timers.remove(timer.id);
      draw();
    });
    p.append(name, " ", time, " ", stop);
    return p;
  };

  setInterval(draw, TICK_MS);
  document.addEventListener("timers-changed", draw);
  window.addEventListener("storage", draw);
  draw();
}

/** A button beside a step of the work that says how long it takes. */
export function startButton(button) {
  button.hidden = false;
  button.addEventListener("click", () => {
    shared.add(`${button.dataset.name}: ${button.dataset.what.slice(0, 60)}`, Number(button.dataset.seconds) / 60);
    document.dispatchEvent(new Event("timers-changed"));
  });
}

/** A form that starts one: minutes, and what for; it is named by its batch. */
export function startForm(form) {
  form.hidden = false;
  form.addEventListener("submit", (event) => {
    event.preventDefault();
    const minutes = Number(form.elements.minutes.value.replace(",", "."));
    if (minutes > 0 && minutes <= 48 * 60) {
      const what = form.elements.what.value.trim();
      shared.add(what ? `${form.dataset.name} ${what}` : form.dataset.name, minutes);
      document.dispatchEvent(new Event("timers-changed"));
    }
  });
}
