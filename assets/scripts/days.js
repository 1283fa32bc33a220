/** The day cursor: shows the tank as the run has it on a day; plays through the year, a few days a step, until it is stopped. */
import { swap, askParts } from './parts.js';
import { say } from './notice.js';

/** Days a step while playing, and ms between steps; fewer steps where motion is to be reduced. */
const STRIDE = 3;
const PACE = matchMedia('(prefers-reduced-motion: reduce)').matches ? 1200 : 90;

/**
 * @param look takes note of a day and says the address that answers with it
 * @param follow is told each answer, whose drawings out of sight are still to come
 * @returns a function that shows a day
 */
export function days(look, follow) {
    let wanted = null;
    let busy = false;
    let playing = null;
    const year = () => document.querySelector('[data-year]');
    const shown = () => Number(document.getElementById('h-day').getAttribute('aria-valuenow'));

    async function fetchDay() {
        if (busy || wanted === null) {
            return;
        }
        busy = true;
        const day = wanted;
        wanted = null;
        try {
            const response = await askParts(look(day));
            const answer = await response.json();
            if (answer.parts === undefined) {
                throw new Error(answer.message);
            }
            swap(answer.parts, new Set());
            // While the year plays, the next day comes at once.
            if (playing === null) {
                follow(answer);
            }
        } catch {
            stop();
            say('Olvek could not show this day. Check that you are still signed in, and move the cursor again.');
        } finally {
            busy = false;
            fetchDay();
        }
    }

    function show(day) {
        wanted = Math.max(0, Math.min(Number(year().dataset.days) - 1, Math.round(day)));
        // What is seen would be seen on the day that stands.
        document.querySelectorAll('[data-read-day]').forEach((link) => {
            link.search = `?day=${wanted}`;
        });
        return fetchDay();
    }

    const button = document.querySelector('[data-day-play]');
    function stop() {
        clearInterval(playing);
        playing = null;
        button.setAttribute('aria-pressed', 'false');
        button.textContent = 'Play';
        follow({ outOfSight: true });
    }
    button.addEventListener('click', () => {
        if (playing !== null) {
            stop();
            return;
        }
        button.setAttribute('aria-pressed', 'true');
        button.textContent = 'Stop';
        let day = shown() >= Number(year().dataset.days) - 1 ? 0 : shown();
        playing = setInterval(() => {
            if (busy) {
                return;
            }
            day += STRIDE;
            show(day);
            if (day >= Number(year().dataset.days) - 1) {
                stop();
            }
        }, PACE);
    });
    document.querySelectorAll('[data-day-step]').forEach((step) => step.addEventListener('click', () => {
        stop();
        show(shown() + Number(step.dataset.dayStep));
    }));
    return show;
}
