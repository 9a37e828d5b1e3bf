// Dragging a cut weighs the pieces beside it anew, from the profile the server sent.

const LEFT = 10;
const LEAST_PIXELS = 12;
const ROOM_FOR_WORDS = 82;
const ROOM_FOR_A_FIGURE = 30;

const fillet = document.getElementById("fillet");
const restore = document.getElementById("restore");

if (fillet) {
  const before = fillet.dataset.before.split(" ").map(Number);
  const grams = Number(fillet.dataset.grams);
  const right = LEFT + Number(fillet.dataset.centimetres) * Number(fillet.dataset.scale);
  const knives = [...fillet.querySelectorAll(".knife")];
  const labels = [...fillet.querySelectorAll(".piece-grams")];
  const first = labels.map((label) => [label.textContent, label.getAttribute("x")]);
  const places = knives.map((knife) => Number(knife.dataset.x));

  const share = (x) => {
    const place = Math.max(0, Math.min(1, (x - LEFT) / (right - LEFT))) * (before.length - 1);
    const index = Math.min(before.length - 2, Math.floor(place));
    return before[index] + (place - index) * (before[index + 1] - before[index]);
  };
  const weigh = (piece) => {
    const from = piece === 0 ? LEFT : places[piece - 1];
    const to = piece === places.length ? right : places[piece];
    const mass = Math.round((share(to) - share(from)) * grams);
    labels[piece].textContent = to - from >= ROOM_FOR_WORDS ? `≈ ${mass} g` : to - from >= ROOM_FOR_A_FIGURE ? mass : "";
    labels[piece].setAttribute("x", (from + to) / 2);
  };
  const put = (i, x) => {
    const least = (i === 0 ? LEFT : places[i - 1]) + LEAST_PIXELS;
    const most = (i === places.length - 1 ? right : places[i + 1]) - LEAST_PIXELS;
    places[i] = Math.max(least, Math.min(most, x));
    knives[i].setAttribute("transform", `translate(${places[i]} 0)`);
    weigh(i);
    weigh(i + 1);
    restore.hidden = false;
  };

  knives.forEach((knife, i) => {
    knife.addEventListener("pointerdown", (event) => knife.setPointerCapture(event.pointerId));
    knife.addEventListener("pointermove", (event) => {
      if (!knife.hasPointerCapture(event.pointerId)) return;
      const box = fillet.getBoundingClientRect();
      put(i, ((event.clientX - box.left) / box.width) * fillet.viewBox.baseVal.width);
    });
  });
  restore.addEventListener("click", () => {
    knives.forEach((knife, i) => {
      places[i] = Number(knife.dataset.x);
      knife.setAttribute("transform", `translate(${places[i]} 0)`);
    });
    labels.forEach((label, i) => {
      label.textContent = first[i][0];
      label.setAttribute("x", first[i][1]);
    });
    restore.hidden = true;
  });
}
