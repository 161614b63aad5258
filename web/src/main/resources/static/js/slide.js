// The face is moved in the travel that its slots leave: the drawing follows, and what is left behind. How far it goes and
// what is left at its place comes with the page; without this both stand there as they are.
const round = (mm) => Math.round(mm * 10) / 10;

export function mount(root) {
  const slider = root.querySelector('input[type=range]');
  const said = root.querySelector('output');
  const drawing = document.querySelector('.views .view-side');
  slider.addEventListener('input', () => {
    const deeper = Number(slider.value);
    const stands = round(Number(root.dataset.setBack) + deeper);
    const how = stands === 0 ? root.dataset.flush : `${Math.abs(stands)} mm ${stands > 0 ? root.dataset.sunk : root.dataset.proud}`;
    said.textContent = `${how}, ${round(Number(root.dataset.left) - deeper)} mm ${root.dataset.behind}`;
    drawing?.style.setProperty('--travel', `${deeper}px`);
  });
}
