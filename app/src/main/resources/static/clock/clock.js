// Moves a task by dragging its bar: the day is placed anew around it, and it stays where it was put.

const LEAST_PIXELS = 8;
const MINUTES = 5;

const form = document.getElementById("drag");
const day = document.getElementById("clock-day");
let held = null;

const minutesOf = (svg, pixels) =>
  ((pixels / svg.getBoundingClientRect().width) * Number(svg.dataset.width)) / Number(svg.dataset.minute);

const drop = (bar, svg, pixels) => {
  const rect = bar.querySelector("rect");
  const was = (Number(rect.getAttribute("x")) - Number(svg.dataset.left)) / Number(svg.dataset.minute);
  const minute = Math.max(0, Math.round((was + minutesOf(svg, pixels)) / MINUTES) * MINUTES);
  form.elements.task.value = bar.dataset.task;
  // a minute is on its way while this is sent: "now" is the next one
  form.elements.second.value = String(Number(svg.dataset.now) + Math.max(1, minute) * 60);
  form.requestSubmit();
};

if (form && day) {
  day.addEventListener("dragstart", (event) => event.preventDefault());
  day.addEventListener("pointerdown", (event) => {
    const bar = event.target.closest("a[data-task]");
    if (!bar || event.button !== 0) return;
    held = { bar, svg: bar.ownerSVGElement, from: event.clientX, moved: 0 };
    bar.setPointerCapture(event.pointerId);
  });
  day.addEventListener("pointermove", (event) => {
    if (!held) return;
    held.moved = event.clientX - held.from;
    const scale = Number(held.svg.dataset.width) / held.svg.getBoundingClientRect().width;
    held.bar.setAttribute("transform", `translate(${held.moved * scale} 0)`);
  });
  day.addEventListener("pointerup", () => {
    if (!held) return;
    const { bar, svg, moved } = held;
    if (Math.abs(moved) >= LEAST_PIXELS) {
      bar.addEventListener("click", (event) => event.preventDefault(), { once: true });
      drop(bar, svg, moved);
    } else {
      bar.removeAttribute("transform");
    }
    held = null;
  });
  day.addEventListener("pointercancel", () => {
    held?.bar.removeAttribute("transform");
    held = null;
  });
}

// what is being dragged or typed is not taken away by the next look
day?.addEventListener("htmx:beforeRequest", (event) => {
  if (event.target === day && (held || day.querySelector("details[open]"))) event.preventDefault();
});

const address = document.getElementById("feed-address");
if (address) {
  address.value = new URL(address.dataset.path, window.location.href).href;
  address.addEventListener("focus", () => address.select());
}
