import { APPLIANCES } from './world';

/** The bench’s own page: what really flows, and switches for loads and faults. Polls the house once a second. */
export function benchPage(): string {
  const loads = Object.entries(APPLIANCES).map(
    ([name, amperes]) => `<button data-flip="${name}">${name}, ${amperes} A</button>`,
  );
  const faults = [
    ['clampLead', 'in', 'pulled', 'Clamp lead'],
    ['clampArrow', 'along', 'against', 'Clamp arrow'],
    ['link', 'up', 'down', 'Link to the office'],
    ['vehicle', 'there', 'away', 'Vehicle'],
  ].map(
    ([key, usual, other, name]) =>
      `<button data-key="${key}" data-usual="${usual}" data-other="${other}">${name}</button>`,
  );
  return `<!doctype html><html lang="en-GB"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>Bench: a made-up house</title>
<style>
  body { font: 17px/1.5 system-ui, sans-serif; max-width: 40rem; margin: 2rem auto; padding: 0 1rem; color: #1b2420; background: #f6f4ee }
  output { font-size: 2.2rem; font-weight: 700; font-variant-numeric: tabular-nums; display: block }
  button { font: inherit; min-height: 44px; margin: .2rem; padding: .3rem .8rem; border: 2px solid #1b2420; border-radius: 8px; background: #fff }
  label { display: block; margin: .3rem 0 }
  input { font: inherit; min-height: 44px; width: 100%; box-sizing: border-box; padding: .2rem .6rem }
  button[aria-pressed=true] { background: #1b2420; color: #fff }
</style>
<h1>Bench: a made-up house</h1>
<p>Stands in for a home with a clamp and a charge point, so that commissioning can be practised. Nothing here is live.</p>
<output id="flows" aria-live="off">…</output>
<h2>Charge point</h2>
<form id="manager">
  <p>What its installer types into it: as the job shows them when a charge point is linked.</p>
  <label>Address <input name="url" placeholder="ws://…/ocpp" required></label>
  <label>Name <input name="name" required></label>
  <label>Key <input name="key" required></label>
  <button>Call in</button> <span id="calling"></span>
</form>
<h2>Loads</h2><p>${loads.join('')}</p>
<h2>Faults and the vehicle</h2><p>${faults.join('')}</p>
<script>
  const show = (world) => {
    document.querySelector('#flows').textContent =
      'House ' + world.houseA.toFixed(1) + ' A, charger ' + world.chargerA.toFixed(1) + ' A, together ' +
      (world.houseA + world.chargerA).toFixed(1) + ' A';
    document.querySelector('#calling').textContent = world.manager ? 'calling as ' + world.manager.name : 'calls nobody yet';
    for (const button of document.querySelectorAll('[data-flip]'))
      button.setAttribute('aria-pressed', world.switched[button.dataset.flip]);
    for (const button of document.querySelectorAll('[data-key]')) {
      const { key, other } = button.dataset;
      button.setAttribute('aria-pressed', world[key] === other);
      button.textContent = button.textContent.split(':')[0] + ': ' + world[key];
    }
  };
  const patch = async (change) =>
    show(await (await fetch('/world', { method: 'PATCH', headers: { 'content-type': 'application/json' }, body: JSON.stringify(change) })).json());
  document.addEventListener('click', ({ target }) => {
    const { flip, key, usual, other } = target.dataset;
    const pressed = target.getAttribute('aria-pressed') === 'true';
    if (flip) patch({ [flip]: !pressed });
    if (key) patch({ [key]: pressed ? usual : other });
  });
  document.querySelector('#manager').addEventListener('submit', (event) => {
    event.preventDefault();
    patch({ manager: Object.fromEntries(new FormData(event.target)) });
  });
  const look = async () => show(await (await fetch('/world')).json());
  setInterval(() => look().catch(() => {}), 1000);
  look();
</script></html>`;
}
