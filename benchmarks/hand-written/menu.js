for (const root of document.querySelectorAll('.mr:not([data-ready])')) {
  root.dataset.ready = '';
  const here = location.host + location.pathname.replace(/\/(index\.html?)?$/, '') + location.search;
  for (const a of root.querySelectorAll('nav a[href]')) {
    if (!a.hash && a.host + a.pathname.replace(/\/(index\.html?)?$/, '') + a.search === here)
      a.ariaCurrent = 'page';
  }
  const panel = root.querySelector('dialog');
  const nav = panel.querySelector('nav');
  const opener = root.querySelector('.mr-opener');
  const buttons = [...root.querySelectorAll('nav [aria-expanded]')];
  const isOpen = (b) => b.getAttribute('aria-expanded') === 'true';
  const inPanel = () => panel.contains(nav);
  const set = (b, open) => {
    b.setAttribute('aria-expanded', open);
    const box = b.parentNode.querySelector('ul');
    delete box.dataset.end;
    if (!open || inPanel()) return;
    const { left, right } = box.getBoundingClientRect();
    if (left < 0 || right > document.documentElement.clientWidth) box.dataset.end = '';
  };
  const closeOthers = (target) => {
    for (const b of buttons) if (isOpen(b) && !inPanel() && !b.parentNode.contains(target)) set(b, false);
  };
  for (const type of ['click', 'focusin']) document.addEventListener(type, (e) => closeOthers(e.target));
  document.addEventListener('keydown', (e) => {
    const b = e.key === 'Escape' && !inPanel() && buttons.find(isOpen);
    if (!b) return;
    if (b.parentNode.contains(document.activeElement)) b.focus();
    set(b, false);
  });
  for (const b of buttons) {
    const item = b.parentNode;
    let timer;
    b.addEventListener('click', (e) => set(b, (e.pointerType === 'mouse' && !inPanel()) || !isOpen(b)));
    b.addEventListener('keydown', (e) => {
      if (e.key !== 'ArrowDown') return;
      e.preventDefault();
      set(b, true);
      item.querySelector('ul').querySelector('a, button').focus();
    });
    item.addEventListener('pointerenter', (e) => {
      clearTimeout(timer);
      if (e.pointerType === 'mouse' && !inPanel()) (closeOthers(item), set(b, true));
    });
    item.addEventListener('pointerleave', (e) => {
      if (e.pointerType === 'mouse' && !inPanel())
        timer = setTimeout(() => item.contains(document.activeElement) || set(b, false), 250);
    });
  }
  const place = () => {
    const unfolded = getComputedStyle(opener).display === 'none';
    if (unfolded && panel.open) panel.close();
    if (unfolded === inPanel()) unfolded ? panel.before(nav) : panel.append(nav);
  };
  addEventListener('resize', place);
  place();
  for (const b of root.querySelectorAll('[commandfor]')) {
    b.addEventListener('click', () => {
      root.toggleAttribute('data-bare', innerWidth <= document.documentElement.clientWidth);
      if (!('command' in b)) panel.open ? panel.close() : panel.showModal();
    });
  }
  panel.addEventListener('click', (e) => {
    const { left, right } = panel.getBoundingClientRect();
    if ((e.target === panel && (e.clientX < left || e.clientX > right)) || e.target.closest('a[href]'))
      panel.close();
  });
}
