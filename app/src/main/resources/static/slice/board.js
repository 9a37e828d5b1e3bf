// The fillet as long as it is: a screen differs, so the cook holds a rule to five centimetres once.

const KEY = "mosaic.centimetre";
const PIXELS = 37.8;
const MARGIN = 24;
const STEP = 1.01;

const place = document.getElementById("true-length");
const five = document.getElementById("five");
const links = { ArrowLeft: "before", ArrowRight: "after" };
let centimetre = Number(localStorage.getItem(KEY)) || PIXELS;

function draw() {
  if (!place) return;
  const length = Number(place.dataset.length) * centimetre;
  document.getElementById("fillet").style.width = `${length}px`;
  five.style.width = `${centimetre * 5}px`;
  place.scrollLeft = MARGIN + Number(place.dataset.at) * length - place.clientWidth / 2;
}

function stretch(factor) {
  centimetre *= factor;
  localStorage.setItem(KEY, centimetre.toFixed(3));
  draw();
}

document.getElementById("shorter")?.addEventListener("click", () => stretch(1 / STEP));
document.getElementById("longer")?.addEventListener("click", () => stretch(STEP));
document.addEventListener("keydown", (event) => {
  // there the arrows move the picture
  if (!place?.contains(event.target)) document.getElementById(links[event.key])?.click();
});
window.addEventListener("resize", draw);
draw();
