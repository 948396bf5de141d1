import { chromium } from '@playwright/test';
import { mkdirSync } from 'node:fs';
mkdirSync('/tmp/look',{recursive:true});
const b = await chromium.launch({ executablePath: process.env.CHROMIUM, args: ['--no-sandbox'] });
export async function open(w,h,who='maren'){ const p = await (await b.newContext({ baseURL: process.env.E2E_URL, viewport:{width:w,height:h}, locale:'en-GB', timezoneId:'Europe/London' })).newPage();
await p.goto('/sign-in');
await p.getByLabel(/e-mail/i).fill(who+'@fennel.example'); await p.getByLabel(/password/i).first().fill('keen-gauge-demo');
await p.getByRole('button',{name:/sign in/i}).click(); await p.getByText('Larkrise').first().waitFor(); return p; }
const p = await open(390,844);
await p.screenshot({path:'/tmp/look/jobs-phone.png'});
await p.getByText('Larkrise').first().click(); await p.waitForURL(/jobs\/.+/);
const base = new URL(p.url()).pathname.split('/').slice(0,3).join('/');
for (const s of ['cut-out','charger','place']) { await p.goto(base+'/'+s); await p.waitForTimeout(2500); await p.screenshot({path:`/tmp/look/${s}-phone.png`}); console.log(s, await p.evaluate(()=>document.documentElement.scrollHeight)); }
const d = await open(1280,800);
await d.screenshot({path:'/tmp/look/jobs.png'});
await d.goto(base+'/cut-out'); await d.waitForTimeout(2500); await d.screenshot({path:'/tmp/look/cut-out.png'});
await b.close();
