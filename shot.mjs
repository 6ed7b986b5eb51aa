import { chromium } from 'playwright'
const [,, kitchen, w, h, ...paths] = process.argv
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' })
const page = await browser.newPage({ viewport: { width: +w, height: +h } })
await page.goto('http://127.0.0.1:4290/')
const ks = await page.evaluate(() => fetch('/api/kitchens').then(r=>r.json()))
const id = ks.find(k => k.name.startsWith(kitchen)).id
await page.evaluate((id) => { localStorage.setItem('fleam.kitchen', id); localStorage.setItem('fleam:kitchen', id) }, id)
let n = 0
for (const p of paths) {
  let [url, ...acts] = p.split('@@')
  if (url.includes('LATEST')) { const f = await page.evaluate((id) => fetch(`/api/kitchens/${id}/fabrications`).then(r=>r.json()), id); const rows = f.fabrications ?? f; url = url.replace('LATEST', rows.find(r=>r.status==='closed')?.id ?? rows[0].id) }
  await page.goto('http://127.0.0.1:4290' + url); await page.waitForTimeout(1200)
  for (const a of acts) { try { await page.evaluate ? await eval(`(async()=>{${a}})()`) : 0 } catch (e) { console.log('act failed', a, e.message.split('\n')[0]) } await page.waitForTimeout(500) }
  await page.screenshot({ path: `/tmp/shot${n++}.png` })
  console.log(n-1, page.url(), await page.evaluate(() => [document.documentElement.scrollHeight, document.documentElement.scrollWidth]))
}
await browser.close()
