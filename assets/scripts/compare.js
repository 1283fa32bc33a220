/**
 * The cursor of a comparison: one day for all drawings and curves. The line follows the hand at once, drawings and numbers come from the
 * server, one answer at a time.
 */
const form = document.querySelector('[data-compare]');

if (form) {
    const slider = form.querySelector('[name="day"]');
    const words = form.querySelector('[data-compare-words]');
    const days = Number(form.dataset.days);
    let busy = false;
    let shown = Number(slider.value);

    function line() {
        const x = 6 + (548 * Number(slider.value)) / Math.max(1, days - 1);
        document.querySelectorAll('[data-compare-cursor]').forEach((path) => path.setAttribute('d', `M${x.toFixed(1)} 4V110`));
        words.textContent = `day ${slider.value}`;
    }

    async function fetchDay() {
        const wanted = Number(slider.value);
        if (busy || wanted === shown) {
            return;
        }
        busy = true;
        try {
            const address = new URL(form.dataset.url, location.href);
            address.searchParams.set('day', String(wanted));
            const answer = await fetch(address, { headers: { Accept: 'text/html' } });
            if (!answer.ok) {
                throw new Error(String(answer.status));
            }
            const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
            document.querySelector('[data-compare-day]').replaceWith(page.querySelector('[data-compare-day]'));
            shown = wanted;
        } catch {
            shown = wanted;
            words.textContent = `day ${wanted} could not be shown; check that you are still signed in`;
        } finally {
            busy = false;
            if (Number(slider.value) !== shown) {
                line();
                fetchDay();
            }
        }
    }

    slider.addEventListener('input', () => {
        line();
        fetchDay();
    });
    form.addEventListener('submit', (event) => event.preventDefault());
}
