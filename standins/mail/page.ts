/** The stand-in’s own page: every mail that came, newest first, as text. */
export function mailPage(): string {
  return `<!doctype html><html lang="en-GB"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>Mail that went nowhere</title>
<style>
  body { font: 17px/1.5 system-ui, sans-serif; max-width: 46rem; margin: 2rem auto; padding: 0 1rem; color: #16263a; background: #eef2ee }
  article { background: #fff; border-left: 8px solid #b08a3c; padding: .6rem 1rem; margin: .8rem 0; overflow-wrap: anywhere }
  pre { font: inherit; white-space: pre-wrap; margin: .6rem 0 }
  small { display: block }
</style>
<h1>Mail that went nowhere</h1>
<p>Stands in for a mail server: what Keen Gauge sends comes here and reaches nobody.</p>
<div id="mails"></div>
<script>
  const line = (text, tag = 'div') => Object.assign(document.createElement(tag), { textContent: text });
  const words = (text) => {
    const whole = document.createElement('pre');
    for (const part of text.split(/(https?:\\/\\/[^\\s]+)/))
      whole.append(/^https?:/.test(part) ? Object.assign(line(part, 'a'), { href: part }) : part);
    return whole;
  };
  let shown = -1;
  const look = async () => {
    const { mails } = await (await fetch('/mails')).json();
    if (mails.length === shown) return;
    shown = mails.length;
    document.querySelector('#mails').replaceChildren(...(mails.length ? [...mails].reverse().map((mail) => {
      const card = document.createElement('article');
      card.append(line(mail.subject, 'strong'), line('To ' + mail.to + ' · from ' + mail.from + ' · ' + new Date(mail.cameAt).toLocaleString('en-GB'), 'small'), words(mail.text));
      for (const { name, bytes } of mail.attachments) card.append(line('With it: ' + name + ', ' + Math.ceil(bytes / 1000) + ' kB', 'small'));
      return card;
    }) : [line('Nothing yet.', 'p')]));
  };
  setInterval(() => look().catch(() => {}), 1000);
  look();
</script></html>`;
}
