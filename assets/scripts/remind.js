/**
 * Reminders of this browser: once a day, while the almanac is open in some tab, what is due today. Asked for by the keeper, and only where the
 * browser allows it; without this file the almanac and its calendar say the same.
 */
const almanac = document.querySelector('[data-remind]');
const place = document.querySelector('[data-remind-place]');
const WANTED = 'olvek.remind';
const TOLD = 'olvek.reminded';
const HOUR = 3_600_000;

const wanted = () => localStorage.getItem(WANTED) === 'yes' && Notification.permission === 'granted';

function tell() {
    const count = Number(almanac.dataset.remind);
    const day = almanac.dataset.remindDay;
    if (!wanted() || count === 0 || localStorage.getItem(TOLD) === day) {
        return;
    }
    localStorage.setItem(TOLD, day);
    const more = count > 1 ? `, and ${count - 1} more` : '';
    new Notification('Olvek: due today', { body: `${almanac.dataset.remindFirst}${more}`, tag: `olvek-${day}` });
}

function show() {
    place.querySelector('button').textContent = wanted() ? 'Do not remind me in this browser' : 'Remind me in this browser';
    place.querySelector('[data-remind-words]').textContent = Notification.permission === 'denied'
        ? 'This browser forbids it for this site: allow notifications in its settings first.'
        : wanted() ? 'Once a day, while the almanac is open in some tab.' : '';
}

if (place && 'Notification' in window) {
    place.hidden = false;
    show();
    place.querySelector('button').addEventListener('click', async () => {
        if (wanted()) {
            localStorage.removeItem(WANTED);
        } else if (await Notification.requestPermission() === 'granted') {
            localStorage.setItem(WANTED, 'yes');
            localStorage.removeItem(TOLD);
            tell();
        }
        show();
    });
    tell();
    // A tab that stays open for days is brought up to date, so that tomorrow's are told tomorrow.
    setInterval(() => {
        if (wanted() && document.hidden) {
            location.reload();
        }
    }, HOUR);
}
