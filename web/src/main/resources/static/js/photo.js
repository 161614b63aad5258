// A photo from the phone's camera: made smaller here, then kept and sent like every other change.
const LONGEST = 1280;
const QUALITY = 0.8;

async function smaller(file) {
  const picture = await createImageBitmap(file);
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = Object.assign(document.createElement('canvas'), {
    width: Math.round(picture.width * scale),
    height: Math.round(picture.height * scale),
  });
  canvas.getContext('2d').drawImage(picture, 0, 0, canvas.width, canvas.height);
  return canvas.toDataURL('image/jpeg', QUALITY);
}

export function mount(form) {
  const said = form.querySelector('.photo-said');
  form.querySelector('[type=file]').addEventListener('change', async (event) => {
    const [file] = event.target.files;
    if (!file) return;
    const data = form.elements.data;
    try {
      data.value = await smaller(file);
    } catch {
      said.textContent = 'This is no picture that the browser can read. Take it again.';
      return;
    }
    event.target.value = '';
    form.elements.caption.value = document.querySelector('[data-card] h2')?.textContent ?? 'photo';
    data.dataset.dirty = 'yes';
    form.requestSubmit();
    said.textContent = 'Photo kept.';
  });
}
