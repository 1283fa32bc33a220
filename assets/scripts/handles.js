/**
 * Handles of the drawings: dragged by mouse or finger, moved by keys. While one moves, the server judges the change without saving it
 * and its drawings are swapped in; on release it is sent as one change. Where a handle stands for a number, and how far apart numbers lie,
 * the server says; nothing is computed here but the hand's way.
 */
import { swap, askParts } from './parts.js';
import { say } from './notice.js';

/** ms without another key after which a change made by keys is sent. */
const PAUSE = 900;
/** Steps by which Page Up and Page Down go. */
const LEAP = 5;

const number = (handle, name) => Number(handle.getAttribute(name));
const decimals = (step) => (String(step).split('.')[1] ?? '').length;
const snap = (value, step, least, most) => Number(Math.min(most, Math.max(least, Math.round(value / step) * step)).toFixed(Math.max(2, decimals(step))));

/** A number as the field of its place shows it. */
const typed = ({ value, clock }) => (clock ? `${Math.floor(value)}:${String(Math.round(60 * (value % 1))).padStart(2, '0')}` : String(value));

function read(handle) {
    const one = { clock: handle.dataset.clock !== undefined, place: handle.dataset.handle, value: number(handle, 'aria-valuenow'), least: number(handle, 'aria-valuemin'), most: number(handle, 'aria-valuemax'), step: Number(handle.dataset.step), per: Number(handle.dataset.per), axis: handle.dataset.axis };
    const data = handle.dataset;
    const two = data.second === undefined ? null : { place: data.second, value: Number(data.secondValue), least: Number(data.secondLeast), most: Number(data.secondMost), step: Number(data.secondStep), per: Number(data.secondPer), axis: one.axis === 'x' ? 'y' : 'x' };
    const [, x, y] = /translate\(([-\d.]+) ([-\d.]+)\)/.exec(handle.getAttribute('transform'));
    return { id: handle.id, unit: data.unit, axes: two === null ? [one] : [one, two], x: Number(x), y: Number(y) };
}

/** @param bench base address, frame() of every request, day(n) to show a day, take(edits) to save, rest() before more urgent work, still() to show what is saved */
export function handles(bench) {
    let held = null;
    let busy = false;
    let again = false;
    let timer = null;

    const edits = () => Object.fromEntries(held.now.map((axis) => [axis.place, typed(axis)]));

    function show() {
        const handle = document.getElementById(held.start.id);
        if (!handle) {
            return;
        }
        const offset = { x: 0, y: 0 };
        held.now.forEach((axis, n) => {
            offset[axis.axis] += (axis.value - held.start.axes[n].value) * axis.per;
        });
        handle.setAttribute('transform', `translate(${(held.start.x + offset.x).toFixed(1)} ${(held.start.y + offset.y).toFixed(1)})`);
        handle.classList.add('handle-held');
        const words = held.now.map((axis) => `${typed(axis)}${held.start.unit ? ` ${held.start.unit}` : ''}`).join(', ');
        handle.setAttribute('aria-valuenow', held.now[0].value);
        handle.setAttribute('aria-valuetext', words);
        if (held.now.length > 1) {
            handle.dataset.secondValue = held.now[1].value;
        }
        tell(handle, words);
        held.now.forEach((axis) => {
            const field = document.getElementById(`f-${axis.place.replaceAll('.', '-')}`);
            if (field) {
                field.value = typed(axis);
            }
        });
    }

    async function tryOut() {
        if (held.now[0].place === '@day') {
            bench.day(held.now[0].value);
            return;
        }
        if (busy) {
            again = true;
            return;
        }
        busy = true;
        const verdict = document.querySelector('.verdict-sentence');
        // Not yet judged: say so, and never wait for it.
        const late = setTimeout(() => verdict?.classList.add('verdict-late'), 60);
        try {
            const mine = held;
            mine.tried = true;
            const body = bench.frame();
            Object.entries(edits()).forEach(([place, text]) => body.set(`edits[${place}]`, text));
            const response = await askParts(`${bench.base}/try`, { method: 'POST', body });
            const answer = await response.json();
            if (held === mine && answer.parts) {
                swap(answer.parts, new Set());
                say('');
            } else if (held === mine && answer.message) {
                say(answer.message);
            }
        } catch {
            say('Olvek can’t be reached, so what you move isn’t judged.');
        } finally {
            clearTimeout(late);
            document.querySelector('.verdict-sentence')?.classList.remove('verdict-late');
            busy = false;
            if (again && held) {
                again = false;
                tryOut();
            }
        }
    }

    /** After a swap the handle stands where the server drew it; what is under the hand is the newest value. */
    document.addEventListener('parts-swapped', () => {
        const handle = held && document.getElementById(held.start.id);
        if (handle) {
            held.start = read(handle);
            show();
        }
    });

    function set(values) {
        const before = JSON.stringify(held.now);
        held.now = held.now.map((axis, n) => ({ ...axis, value: snap(values[n], axis.step, held.limits[n].least, held.limits[n].most) }));
        if (JSON.stringify(held.now) !== before) {
            show();
            tryOut();
        }
    }

    function take(handle) {
        clearTimeout(timer);
        bench.rest();
        const start = read(handle);
        held = { start, first: start.axes.map((axis) => axis.value), limits: start.axes, now: start.axes };
    }

    function release(keep) {
        const mine = held;
        held = null;
        again = false;
        clearTimeout(timer);
        if (mine === null) {
            return;
        }
        document.getElementById(mine.start.id)?.classList.remove('handle-held');
        tip.hidden = true;
        const changed = mine.now.some((axis, n) => axis.value !== mine.first[n]);
        if (mine.now[0].place === '@day') {
            return;
        }
        if (keep && changed) {
            bench.take(Object.fromEntries(mine.now.filter((axis, n) => axis.value !== mine.first[n]).map((axis) => [axis.place, typed(axis)])));
        } else if (mine.tried) {
            mine.now.forEach((axis, n) => {
                const field = document.getElementById(`f-${axis.place.replaceAll('.', '-')}`);
                if (field) {
                    field.value = typed({ ...axis, value: mine.first[n] });
                }
            });
            bench.still();
        }
    }

    const tip = document.createElement('output');
    tip.className = 'handle-tip';
    tip.hidden = true;
    tip.setAttribute('aria-hidden', 'true');
    document.body.append(tip);
    function tell(handle, words) {
        const box = handle.getBoundingClientRect();
        tip.textContent = words;
        tip.hidden = false;
        tip.style.left = `${Math.min(window.innerWidth - tip.offsetWidth - 8, box.right + 6)}px`;
        tip.style.top = `${Math.max(4, box.top - 26)}px`;
    }

    // A finger on a handle moves it, not the page; the style alone does not hold within a drawing.
    document.addEventListener('touchstart', (event) => {
        if (event.target.closest?.('[data-handle]') && event.cancelable) {
            event.preventDefault();
        }
    }, { passive: false });
    document.addEventListener('pointerdown', (event) => {
        const handle = event.target.closest('[data-handle]');
        if (!handle || event.button !== 0 || held?.pointer !== undefined) {
            return;
        }
        event.preventDefault();
        handle.focus({ preventScroll: true });
        release(true);
        take(handle);
        // The part around it outlives its swapped content, so the pointer is captured there.
        const part = handle.closest('[data-part]');
        part.setPointerCapture(event.pointerId);
        const matrix = handle.ownerSVGElement.getScreenCTM().inverse();
        held.pointer = event.pointerId;
        held.origin = { x: event.clientX, y: event.clientY, scaleX: matrix.a, scaleY: matrix.d };
    });
    document.addEventListener('pointermove', (event) => {
        if (held?.pointer !== event.pointerId) {
            return;
        }
        const way = { x: (event.clientX - held.origin.x) * held.origin.scaleX, y: (event.clientY - held.origin.y) * held.origin.scaleY };
        held.dragged = held.dragged || Math.hypot(way.x, way.y) > 3;
        set(held.limits.map((axis, n) => held.first[n] + way[axis.axis] / axis.per));
    });
    document.addEventListener('pointerup', (event) => {
        if (held?.pointer === event.pointerId) {
            if (!held.dragged) {
                document.getElementById(held.start.id)?.dispatchEvent(new CustomEvent('handle-pressed', { bubbles: true }));
            }
            release(true);
        }
    });
    document.addEventListener('pointercancel', (event) => {
        if (held?.pointer === event.pointerId) {
            release(false);
        }
    });

    const KEYS = { ArrowRight: ['x', 1], ArrowLeft: ['x', -1], ArrowUp: ['y', 1], ArrowDown: ['y', -1], PageUp: [null, LEAP], PageDown: [null, -LEAP] };
    document.addEventListener('keydown', (event) => {
        const handle = event.target.closest?.('[data-handle]');
        if (!handle || event.ctrlKey || event.metaKey || event.altKey) {
            return;
        }
        if (event.key === 'Escape' && held) {
            event.preventDefault();
            release(false);
            return;
        }
        if (event.key === 'Enter' || event.key === ' ') {
            event.preventDefault();
            if (held) {
                release(true);
            } else {
                handle.dispatchEvent(new CustomEvent('handle-pressed', { bubbles: true }));
            }
            return;
        }
        if (event.key === 'Delete' && /^events\./.test(handle.dataset.handle)) {
            event.preventDefault();
            held = null;
            bench.take({ [handle.dataset.handle.replace(/\.day$/, '.remove')]: '1' });
            return;
        }
        const ends = { Home: 'least', End: 'most' }[event.key];
        const key = KEYS[event.key];
        if (!ends && !key) {
            return;
        }
        event.preventDefault();
        if (held === null || held.start.id !== handle.id) {
            release(true);
            take(handle);
        }
        const values = held.now.map((axis) => axis.value);
        const single = held.now.length === 1;
        held.now.forEach((axis, n) => {
            if (ends && n === 0) {
                values[n] = held.limits[n][ends];
            } else if (key && (single || key[0] === axis.axis || (key[0] === null && n === 0))) {
                values[n] += key[1] * axis.step;
            }
        });
        set(values);
        clearTimeout(timer);
        timer = setTimeout(() => release(true), PAUSE);
    });
    document.addEventListener('focusout', (event) => {
        if (held && held.pointer === undefined && event.target.id === held.start.id && event.target.isConnected) {
            release(true);
        }
    });

    // A mark that is pressed, not moved, opens what is written there.
    document.addEventListener('handle-pressed', (event) => {
        const [list, id] = event.target.dataset.handle.split('.');
        const row = list === 'events' ? document.getElementById(id) : null;
        const stage = { plants: 'plants', animals: 'animals', hardscape: 'hardscape' }[list];
        if (row) {
            row.closest('details').open = true;
            row.querySelector('input, select')?.focus();
        } else if (stage) {
            document.getElementById(stage).open = true;
            document.getElementById(`f-${list}-${id}-${list === 'animals' ? 'count' : list === 'plants' ? 'pieces' : 'litres'}`)?.focus();
        }
    });
}
