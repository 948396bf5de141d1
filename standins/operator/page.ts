import { MOODS } from './desk';

const VERDICTS = [
  ['judge', 'Judge by the pack'],
  ['{"answer":"accepted"}', 'Accept'],
  [
    '{"answer":"accepted-if","condition":"fuse-visit","note":"We come to the fuse first."}',
    'Accept if we may visit the fuse',
  ],
  ['{"answer":"accepted-if","condition":"limit","limitA":16,"note":"Held to 16 A."}', 'Accept if held to 16 A'],
  ['{"answer":"asks-for-more","note":"A photograph of the cut-out, please."}', 'Ask for more'],
  ['{"answer":"un-loop-first","note":"One service feeds two premises."}', 'Un-loop first'],
  ['{"answer":"refused","note":"The street cannot carry it."}', 'Refuse'],
] as const;

const MOOD_WORDS: Readonly<Record<(typeof MOODS)[number], string>> = {
  well: 'in order',
  slow: 'slow',
  down: 'out of order',
  drops: 'takes it, line drops',
  twice: 'tells answers twice',
};

const escaped = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('"', '&quot;');

/** The desk’s own page: what came in, what it will be answered, and how the service and its clock run. */
export function operatorPage(): string {
  const verdicts = VERDICTS.map(([value, name]) => `<option value="${escaped(value)}">${name}</option>`).join('');
  const moods = MOODS.map((mood) => `<button data-mood="${mood}">${MOOD_WORDS[mood]}</button>`).join('');
  return `<!doctype html><html lang="en-GB"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>A made-up operator’s desk</title>
<style>
  body { font: 17px/1.5 system-ui, sans-serif; max-width: 46rem; margin: 2rem auto; padding: 0 1rem; color: #16263a; background: #eef2ee }
  button, select, input { font: inherit; min-height: 44px; margin: .2rem .2rem .2rem 0; padding: .3rem .8rem; border: 2px solid #16263a; border-radius: 8px; background: #fff; color: inherit }
  button[aria-pressed=true] { background: #16263a; color: #fff }
  article { background: #fff; border-left: 8px solid #7a9a86; padding: .6rem 1rem; margin: .8rem 0 }
  output { font-weight: 700; font-variant-numeric: tabular-nums }
</style>
<h1>A made-up operator’s desk</h1>
<p>Stands in for a network operator that takes packs over HTTP. Its answers mean nothing; nothing may be connected on them.</p>
<p>Its day is <output id="today">…</output>; a day lasts <output id="pace">…</output> s.
  <button data-skip="1">A day on</button><button data-skip="14">Two weeks on</button>
  <button data-pace="2">2 s a day</button><button data-pace="10">10 s a day</button><button data-pace="86400">Real days</button></p>
<p>Answers after <label>working days <input id="days" type="number" min="1" max="260" style="width:6rem"></label></p>
<p><label>What comes in next is answered <select id="next">${verdicts}</select></label></p>
<p>The service is ${moods}</p>
<h2>Handed in</h2><div id="handed"></div>
<script>
  const find = (selector) => document.querySelector(selector);
  const line = (text, tag = 'div') => Object.assign(document.createElement(tag), { textContent: text });
  const show = (desk) => {
    find('#today').textContent = desk.today;
    find('#pace').textContent = desk.clock.secondsPerDay;
    if (document.activeElement !== find('#days')) find('#days').value = desk.workingDays;
    if (document.activeElement !== find('#next'))
      find('#next').value = desk.answerNext === 'judge' ? 'judge' : [...find('#next').options].map((o) => o.value).find((v) => v !== 'judge' && JSON.parse(v).answer === desk.answerNext.answer && JSON.parse(v).condition === desk.answerNext.condition) || 'judge';
    for (const button of document.querySelectorAll('[data-mood]')) button.setAttribute('aria-pressed', desk.mood === button.dataset.mood);
    find('#handed').replaceChildren(...(desk.handed.length ? [...desk.handed].reverse().map((each) => {
      const card = document.createElement('article');
      card.append(line(each.reference + ' · ' + each.pack + ' · ' + each.title, 'strong'), line(each.site), line('Came on ' + each.receivedOn + (each.times > 1 ? ', sent ' + each.times + ' times, taken once' : '') + '; to be answered by ' + each.dueOn));
      for (const answer of each.answers) card.append(line(answer.on + ': ' + answer.answer + (answer.condition ? ' (' + answer.condition + ')' : '') + (answer.note ? '. ' + answer.note : '')));
      if (!each.answers.length) { const now = line('Answer it now', 'button'); now.dataset.answer = each.reference; card.append(now); }
      return card;
    }) : [line('Nothing yet.', 'p')]));
  };
  const send = async (method, path, body) => show(await (await fetch(path, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })).json());
  let desk;
  document.addEventListener('click', ({ target }) => {
    const { mood, skip, pace, answer } = target.dataset;
    if (mood) send('PATCH', '/desk', { mood });
    if (skip) send('PATCH', '/desk', { skipDays: Number(skip) });
    if (pace) send('PATCH', '/desk', { secondsPerDay: Number(pace) });
    if (answer) send('POST', '/desk/' + answer + '/answers', desk.handed.find((each) => each.reference === answer).verdict);
  });
  find('#next').addEventListener('change', ({ target }) => send('PATCH', '/desk', { answerNext: target.value === 'judge' ? 'judge' : JSON.parse(target.value) }));
  find('#days').addEventListener('change', ({ target }) => send('PATCH', '/desk', { workingDays: Number(target.value) }));
  const look = async () => show((desk = await (await fetch('/desk')).json()));
  setInterval(() => look().catch(() => {}), 1000);
  look();
</script></html>`;
}
