import type { MenuPart } from '../../kinds/parts/menu.ts';
import { levelCount } from '../../model/states.ts';
import { headerParts, shownItems } from '../../kinds/walk.ts';
import { slotsOf } from '../../kinds/catalogue.ts';
import { effectiveLook } from '../../resolve/resolve.ts';
import { styledOwners } from '../look-rules.ts';
import { foldingMenu } from '../parts/header.ts';
import type { CompileContext } from '../context.ts';

/** What a header's script has to do. */
interface Features {
  readonly submenus: boolean;
  readonly hover: boolean;
}

function featuresOf(context: CompileContext): Features {
  const inBar = headerParts(context.header).filter((part) => part.kind === 'menu');
  const opening = (part: MenuPart) =>
    levelCount(part.levels) > 1 && shownItems(context.site, part).some((item) => item.children.length > 0);
  const inPanels = context.panels.flatMap((panel) => panel.parts);
  return {
    submenus: [...inBar, ...inPanels].some(opening),
    hover: inBar.some((part) => opening(part) && part.opensOn === 'hover'),
  };
}

const CURRENT = `
    // The current page
    const plain = (place) => place.host + place.pathname.replace(/\\/(index\\.html?)?$/, '') + place.search;
    for (const link of root.querySelectorAll('nav a[href]')) {
      if (!link.hash && plain(link) === plain(location)) link.setAttribute('aria-current', 'page');
    }
`;

/** `folded` answers whether the menu stands in the open panel, where submenus are an accordion and stay as they are. */
const SUBMENUS = `
    // Submenus
    const buttons = [...root.querySelectorAll('nav [aria-expanded]')];
    const isOpen = (button) => button.getAttribute('aria-expanded') === 'true';
    const folded = (button) => !!button.closest('dialog');
    const set = (button, open) => {
      button.setAttribute('aria-expanded', open);
      const box = button.parentNode.querySelector('ul');
      box.removeAttribute('data-hm-end');
      if (!open || folded(button)) return;
      const { left, right } = box.getBoundingClientRect();
      box.toggleAttribute('data-hm-end', left < 0 || right > document.documentElement.clientWidth);
    };
    const leave = (target) => {
      for (const button of buttons) {
        if (isOpen(button) && !folded(button) && !button.parentNode.contains(target)) set(button, false);
      }
    };
    for (const type of ['click', 'focusin']) document.addEventListener(type, (event) => leave(event.target));
    document.addEventListener('keydown', (event) => {
      const button = event.key === 'Escape' && buttons.find((button) => isOpen(button) && !folded(button));
      if (!button) return;
      if (button.parentNode.contains(document.activeElement)) button.focus();
      set(button, false);
    });
    for (const button of buttons) {
      const item = button.parentNode;
      button.addEventListener('click', (event) => {
        set(button, CLICK);
      });
      button.addEventListener('keydown', (event) => {
        if (event.key !== 'ArrowDown') return;
        event.preventDefault();
        set(button, true);
        item.querySelector('ul').querySelector('a, button').focus();
      });HOVER
    }
`;

const CLICK_ONLY = '!isOpen(button)';
/** A mouse that opened a submenu by pointing must not close it by the click that follows. */
const CLICK_WITH_HOVER = "(event.pointerType === 'mouse' && !folded(button)) || !isOpen(button)";

/** Hover opens at once and closes with a delay, so that the pointer can cross to the submenu (WCAG 2.2, 1.4.13). */
const HOVER = `
      let timer;
      item.addEventListener('pointerenter', (event) => {
        clearTimeout(timer);
        if (event.pointerType === 'mouse' && !folded(button)) leave(item), set(button, true);
      });
      item.addEventListener('pointerleave', (event) => {
        if (event.pointerType !== 'mouse' || folded(button)) return;
        timer = setTimeout(() => item.contains(document.activeElement) || set(button, false), 250);
      });`;

/** Whether the menu is folded is the stylesheet's to say: the opener shows only then. */
const FOLD = `
    // The folding menu
    const folding = root.querySelector('#PANEL');
    const menu = folding.querySelector('.NAV');
    const opener = root.querySelector('.OPENER');
    const place = () => {
      const unfolded = getComputedStyle(opener).display === 'none';
      if (unfolded && folding.open) folding.close();
      if (unfolded !== folding.contains(menu)) return;
      if (unfolded) folding.before(menu);
      else folding.firstElementChild.after(menu);
    };
    addEventListener('resize', place);
    place();
`;

const PANELS = `
    // Panels
    for (const button of root.querySelectorAll('[commandfor]')) {
      const panel = document.getElementById(button.getAttribute('commandfor'));
      button.addEventListener('click', () => {
        root.toggleAttribute('data-hm-bare', innerWidth <= document.documentElement.clientWidth);
        if ('command' in button) return;
        if (panel.open) panel.close();
        else panel.showModal();
      });
    }
    for (const panel of root.querySelectorAll('dialog')) {
      panel.addEventListener('click', (event) => {
        const { left, right } = panel.getBoundingClientRect();
        const outside = event.target === panel && (event.clientX < left || event.clientX > right);
        if (outside || event.target.closest('a[href]')) panel.close();
      });
    }
`;

/** Going on is noticed later than coming back, so that a bar which shrinks does not bring itself back. */
const SCROLLED = `
    // The page is scrolled
    const scroll = () => root.toggleAttribute('data-hm-scrolled', scrollY > (root.hasAttribute('data-hm-scrolled') ? 0 : 40));
    addEventListener('scroll', scroll, { passive: true });
    scroll();
`;

/** A search that unfolds behaves like a submenu: it goes where attention goes elsewhere. */
const UNFOLDING = `
    // Search behind an icon
    for (const box of root.querySelectorAll('details')) {
      for (const type of ['click', 'focusin']) document.addEventListener(type, (event) => { box.open &&= box.contains(event.target); });
      box.addEventListener('toggle', () => box.open && box.querySelector('input').focus());
      box.addEventListener('keydown', (event) => {
        if (event.key === 'Escape' && box.open) box.open = false, box.firstElementChild.focus();
      });
    }
`;

/** Whether anything looks otherwise while the page is scrolled. */
function changesScrolled(context: CompileContext): boolean {
  if (!context.header.stays) return false;
  if (headerParts(context.header).some((part) => part.kind === 'logo' && part.second !== null)) return true;
  return styledOwners(context).some((owner) =>
    Object.keys(slotsOf(owner.kind)).some((slot) =>
      Object.values(effectiveLook(context.site, { owner: owner.id, slot })).some((states) =>
        Object.hasOwn(states, 'scrolled'),
      ),
    ),
  );
}

/** The script of a header: classic, without globals, harmless when loaded twice. */
export function printScript(context: CompileContext): string {
  const { submenus, hover } = featuresOf(context);
  const menu = foldingMenu(context);
  const opener = headerParts(context.header).find((part) => part.kind === 'opener');
  const fold =
    context.fold && menu !== null && opener
      ? FOLD.replace('PANEL', context.names.slotClass(context.fold.panel.id, 'panel'))
          .replace('NAV', context.names.slotClass(menu, 'nav'))
          .replace('OPENER', context.names.slotClass(opener.id, 'opener'))
      : '';
  const panels = context.panels.length > 0 ? PANELS : '';
  const submenuCode = submenus
    ? SUBMENUS.replace('CLICK', hover ? CLICK_WITH_HOVER : CLICK_ONLY).replace('HOVER', hover ? HOVER : '')
    : '';
  const scrolled = changesScrolled(context) ? SCROLLED : '';
  const unfolding = headerParts(context.header).some((part) => part.kind === 'search' && !part.open)
    ? UNFOLDING
    : '';
  const body = CURRENT + submenuCode + fold + panels + scrolled + unfolding;
  const header = `.${context.names.name('header')}:not([${context.names.readyAttribute}])`;
  const code = `(() => {
  for (const root of document.querySelectorAll('${header}')) {
    root.setAttribute('${context.names.readyAttribute}', '');
${body}  }
})();
`;
  return code.replaceAll('data-hm-', `data-${context.names.prefix}`);
}
