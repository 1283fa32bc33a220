/** Shortcuts of our own: single keys while nothing is being typed. They can be switched off, and ? lists them. */

const OFF = 'olvek.keys.off';
const list = document.querySelector('[data-keys]');
const stages = { v: 'vessel', b: 'bed', s: 'hardscape', l: 'light', h: 'equipment', p: 'plants', w: 'water', a: 'animals', o: 'start' };

const open = (id) => {
    const stage = document.getElementById(id);
    if (stage) {
        stage.open = true;
        stage.querySelector('summary').focus();
        stage.scrollIntoView({ block: 'start' });
    }
};
const press = (step) => document.querySelector(`[data-step="${step}"]:enabled`)?.click();
const nextTrouble = () => {
    const troubled = [...document.querySelectorAll('.margin-fails summary, .margin-tight summary')];
    troubled[(troubled.indexOf(document.activeElement) + 1) % Math.max(1, troubled.length)]?.focus();
};
const below = () => {
    const other = document.querySelector('input[name="below"][type="radio"]:not(:checked)');
    other?.click();
    other?.focus();
};
const doing = {
    ...Object.fromEntries(Object.entries(stages).map(([key, id]) => [key, () => open(id)])),
    '<': () => press('undo'),
    '>': () => press('redo'),
    m: nextTrouble,
    y: below,
    d: () => document.getElementById('h-day')?.focus(),
    '.': () => document.querySelector('[data-day-play]')?.click(),
    i: () => document.querySelector('#written > summary')?.click(),
};

if (list) {
    const choice = list.querySelector('[data-keys-on]');
    choice.checked = localStorage.getItem(OFF) === null;
    choice.addEventListener('change', () => (choice.checked ? localStorage.removeItem(OFF) : localStorage.setItem(OFF, 'yes')));
    document.querySelector('[data-keys-open]')?.addEventListener('click', () => list.showModal());
    document.addEventListener('keydown', (event) => {
        const typing = event.target.closest('input:not([type="radio"]), select, textarea, [contenteditable]');
        if (event.ctrlKey || event.metaKey || event.altKey || typing || list.open) {
            return;
        }
        if (event.key === '?') {
            event.preventDefault();
            list.showModal();
        } else if (choice.checked && doing[event.key]) {
            event.preventDefault();
            doing[event.key]();
        }
    });
}
