/**
 * Palettes in the sheet of their stage: searched while one types, added by a press, or dragged into the drawing, where they come to stand.
 * What would live here, and how much of it is usual, the server says; nothing is computed here but where the hand let go.
 */
import { say } from './notice.js';

const asked = { headers: { 'Olvek-Parts': '{}' }, credentials: 'same-origin' };
/** The palette that stands open: its link's list, its box, what is searched. */
let open = null;

async function fill(box, url, options = {}) {
    const response = await fetch(url, { ...asked, ...options });
    if (!response.ok && response.status !== 422) {
        throw new Error(response.statusText);
    }
    const scrolled = box.querySelector('.palette')?.scrollTop ?? 0;
    box.innerHTML = await response.text();
    box.querySelector('.palette').scrollTop = scrolled;
    if (open) {
        const q = box.querySelector('[data-palette-q]');
        const fits = box.querySelector('[data-palette-fits]');
        q.value = open.q;
        if (fits) {
            fits.checked = open.fits;
        }
        sift(box);
    }
}

function sift(box) {
    const wanted = open.q.trim().toLowerCase();
    let any = false;
    box.querySelectorAll('[data-palette-group]').forEach((group) => {
        let some = false;
        group.querySelectorAll('[data-card]').forEach((card) => {
            card.hidden = !card.dataset.names.includes(wanted) || (open.fits && card.dataset.fits === 'no');
            some = some || !card.hidden;
        });
        group.hidden = !some;
        any = any || some;
    });
    box.querySelector('[data-palette-none]').hidden = any;
}

function close() {
    open?.box.remove();
    document.querySelectorAll('[data-palette][aria-expanded="true"]').forEach((link) => link.setAttribute('aria-expanded', 'false'));
    open = null;
}

document.addEventListener('click', async (event) => {
    const link = event.target.closest('[data-palette]');
    if (!link || event.ctrlKey || event.metaKey || event.shiftKey) {
        return;
    }
    event.preventDefault();
    const again = open?.list === link.dataset.palette;
    close();
    if (again) {
        return;
    }
    const box = document.createElement('div');
    box.className = 'palette-box';
    link.closest('.palette-ask').after(box);
    link.setAttribute('aria-expanded', 'true');
    open = { list: link.dataset.palette, url: link.href, box, q: '', fits: false };
    try {
        await fill(box, link.href);
        box.querySelector('[data-palette-q]').focus();
    } catch {
        close();
        say('The palette could not be fetched. Check that you are still signed in, and open it again.');
    }
});

document.addEventListener('input', (event) => {
    if (open && event.target.matches('[data-palette-q]')) {
        open.q = event.target.value;
        sift(open.box);
    }
});
document.addEventListener('change', async (event) => {
    if (open && event.target.matches('[data-palette-fits]')) {
        open.fits = event.target.checked;
        sift(open.box);
    }
    const stock = event.target.closest('[data-stock]');
    if (stock && open) {
        await fill(open.box, stock.action, { method: 'POST', body: new FormData(stock) }).catch(() => say('This was not saved: Olvek can’t be reached.'));
    }
});
document.addEventListener('submit', (event) => {
    if (event.target.matches('.palette-search, [data-stock]') && open) {
        event.preventDefault();
    }
});

// What comes in by a key is given into the hand: its handle in the drawing has the focus, and arrows move it.
let keyed = null;
const handles = () => new Set([...document.querySelectorAll('.view [data-handle]')].map((handle) => handle.id));
document.addEventListener('submit', (event) => {
    if (event.target.matches('.pick-add')) {
        keyed = event.submitter?.matches(':focus-visible') ? handles() : null;
    }
}, true);
document.addEventListener('parts-swapped', (event) => {
    if (open && !open.box.isConnected) {
        const link = document.querySelector(`[data-palette="${open.list}"]`);
        link?.closest('.palette-ask').after(open.box);
        link?.setAttribute('aria-expanded', 'true');
        fill(open.box, open.url).catch(() => {});
    }
    if (keyed && event.detail.last) {
        const fresh = [...document.querySelectorAll('.view [data-handle]')].find((handle) => !keyed.has(handle.id) && handle.checkVisibility());
        fresh?.focus();
        keyed = null;
    }
});

/** Where in a drawing a point lies: shares along the front and, from above, across it; null beside it. */
function placeAt(x, y) {
    const svg = document.elementsFromPoint(x, y).map((element) => element.closest('svg.tank-section[data-left]')).find(Boolean);
    if (!svg) {
        return null;
    }
    const point = new DOMPoint(x, y).matrixTransform(svg.getScreenCTM().inverse());
    const { left, right, front, back } = Object.fromEntries(Object.entries(svg.dataset).map(([name, at]) => [name, Number(at)]));
    const share = (at, from, to) => Math.max(0, Math.min(1, (at - from) / (to - from)));
    return { along: share(point.x, left, right), across: svg.dataset.front === undefined ? null : share(point.y, front, back) };
}

/** "12 on hand" at a place is "12 at 30 80 on hand". Where only the front is seen, it stands a little behind the middle. */
const typed = (amount, { along, across }) => amount.replace(/( on hand)?$/, ` at ${(100 * along).toFixed(1)} ${(100 * (across ?? 0.6)).toFixed(1)}$1`);

let drag = null;
document.addEventListener('pointerdown', (event) => {
    const picture = event.target.closest('[data-drag]');
    if (!picture || event.button !== 0) {
        return;
    }
    event.preventDefault();
    const ghost = picture.cloneNode(true);
    ghost.className = 'pick-ghost';
    document.body.append(ghost);
    drag = { picture, ghost, id: event.pointerId };
    picture.setPointerCapture(event.pointerId);
    follow(event);
});
function follow(event) {
    drag.ghost.style.translate = `${event.clientX - 32}px ${event.clientY - 44}px`;
    drag.ghost.classList.toggle('pick-ghost-over', placeAt(event.clientX, event.clientY) !== null);
}
document.addEventListener('pointermove', (event) => {
    if (drag?.id === event.pointerId) {
        follow(event);
    }
});
document.addEventListener('pointerup', (event) => {
    if (drag?.id !== event.pointerId) {
        return;
    }
    const { drag: place, amount } = drag.picture.dataset;
    const at = placeAt(event.clientX, event.clientY);
    drag.ghost.remove();
    drag = null;
    if (at !== null) {
        const stands = /^(plants|hardscape)[.]/.test(place);
        document.dispatchEvent(new CustomEvent('take-edits', { detail: { [place]: stands ? typed(amount, at) : amount } }));
    }
});
document.addEventListener('pointercancel', () => {
    drag?.ghost.remove();
    drag = null;
});
document.addEventListener('keydown', (event) => {
    if (event.key === 'Escape' && open && open.box.contains(document.activeElement)) {
        const link = document.querySelector(`[data-palette="${open.list}"]`);
        close();
        link?.focus();
    }
});
