// What a look from arm's length would find: measured on the page as it stands.

/** How much of the page moved by itself since it was opened, and what; as browsers reckon layout shift. */
export const moved = (page) =>
  page.evaluate(
    () =>
      new Promise((told) => {
        const shifts = [];
        const own = (e) => !e.hadRecentInput;
        new PerformanceObserver((list) => shifts.push(...list.getEntries().filter(own))).observe({
          type: 'layout-shift',
          buffered: true,
        });
        setTimeout(() => {
          const sum = shifts.reduce((all, s) => all + s.value, 0);
          const worst = shifts.sort((a, b) => b.value - a.value)[0]?.sources?.[0]?.node;
          told({ sum, worst: worst ? `${worst.nodeName} ${worst.className}` : '' });
        }, 60);
      }),
  );

/** What is cut off or runs out of the page with letters twice as large. */
export const atTwice = (page) =>
  page.evaluate(() => {
    document.documentElement.style.fontSize = '200%';
    const found = [];
    if (document.documentElement.scrollWidth > window.innerWidth) found.push('scrolls sideways at twice');
    for (const e of document.querySelectorAll('main button, main a, main h1, main h2, main label')) {
      const [box, style] = [e.getBoundingClientRect(), getComputedStyle(e)];
      const cut = style.overflowX !== 'visible' && e.scrollWidth > e.clientWidth + 1;
      // A wide table is pushed along inside its card.
      if (e.closest('table')) continue;
      if (e.checkVisibility() && !e.closest('.sr, .skip') && (cut || box.right > window.innerWidth + 1))
        found.push(`cut at twice: ${e.textContent.trim().slice(0, 40)}`);
    }
    document.documentElement.style.fontSize = '';
    return found;
  });

/** Findings on the page that is open, each a few words; empty where nothing is wrong. `bench`: all that a beat asks is on screen. */
export const measured = (page, { bench = false, phone = false } = {}) =>
  page.evaluate(
    ({ bench, phone }) => {
      const found = [];
      const say = (what, e) => {
        const name = (e.getAttribute?.('aria-label') || e.textContent || e.id || e.tagName)
          .trim()
          .replace(/\s+/g, ' ')
          .slice(0, 40);
        found.push(`${what}: ${name}`);
      };
      const seen = (e) => e.checkVisibility({ opacityProperty: true, visibilityProperty: true }) && !e.closest('.sr, .skip');
      const boxOf = (e) => e.getBoundingClientRect();

      if (document.documentElement.scrollWidth > window.innerWidth) found.push('scrolls sideways');

      // What can be touched, by what a finger can hit of it.
      const touched = 'button, a[href], input, textarea, select, summary, [role=slider], [role=radio], [role=checkbox]';
      const hit =
        '.ant-select, .ant-checkbox-wrapper, .ant-segmented-item, .ant-radio-wrapper, .ant-input-affix-wrapper, .ant-picker, .ant-switch, label';
      const targets = new Set();
      for (const e of document.querySelectorAll(touched)) targets.add(e.closest(hit) ?? e);
      const shown = [...targets].filter((e) => seen(e) && boxOf(e).width > 0);
      for (const e of shown) {
        // A label is as large as what it labels; a word in a sentence is no target of its own.
        const own = e.querySelector('input, textarea');
        const [width, height] = ['width', 'height'].map((of) => Math.max(boxOf(e)[of], own ? boxOf(own)[of] : 0));
        if (e.matches('p a, p button.link')) continue;
        // At the bench fingers are floury, but for the head of the page.
        const least = bench && e.closest('.bench .now, .bench .bar') ? 55.5 : 43.5;
        if (Math.min(width, height) < least) say(`small ${Math.round(width)} × ${Math.round(height)}`, e);
      }

      // Letters, also those in drawings.
      const letters = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
      for (let node = letters.nextNode(); node; node = letters.nextNode()) {
        const e = node.parentElement;
        if (!node.textContent.trim() || !e || !seen(e) || e.closest('option, style, script')) continue;
        const scale = e instanceof SVGElement ? (e.getScreenCTM?.()?.a ?? 1) : 1;
        const size = parseFloat(getComputedStyle(e).fontSize) * scale;
        if (size < 13.9) say(`letters of ${size.toFixed(1)}`, e);
      }

      // The bench is read from across the room: seven to one.
      const parts = (colour) => colour.match(/[\d.]+/g).map(Number);
      const light = ([r, g, b]) => {
        const linear = [r, g, b].map((c) => (c / 255 <= 0.04045 ? c / 255 / 12.92 : ((c / 255 + 0.055) / 1.055) ** 2.4));
        return 0.2126 * linear[0] + 0.7152 * linear[1] + 0.0722 * linear[2];
      };
      const behind = (e) => {
        const own = parts(getComputedStyle(e).backgroundColor);
        return own.length < 4 || own[3] > 0.99 || !e.parentElement ? own : behind(e.parentElement);
      };
      if (bench)
        for (const e of document.querySelectorAll('.bench h1, .bench .figure, .bench .now .button, .bench .bar .button')) {
          if (!seen(e) || e.disabled) continue;
          const [a, b] = [light(parts(getComputedStyle(e).color)), light(behind(e))];
          const ratio = (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
          if (ratio < 7) say(`contrast ${ratio.toFixed(1)}`, e);
        }

      if (bench) {
        const bar = document.querySelector('.bench .bar');
        const top = bar ? boxOf(bar).top : window.innerHeight;
        if (bar && boxOf(bar).bottom > window.innerHeight + 1) found.push('the bar is cut off');
        const wanted = phone ? '.bench h1, .bench .figure, .bench .answers .button' : '.bench .now, .bench aside';
        for (const e of document.querySelectorAll(wanted))
          if (seen(e) && boxOf(e).bottom > top + 1) say(`${Math.round(boxOf(e).bottom - top)} px under the bar`, e);
      }
      return [...new Set(found)];
    },
    { bench, phone },
  );
