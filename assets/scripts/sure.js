/**
 * How sure the margins are: while the keeper rests, the server judges more tanks whose uncertain numbers differ, a few a request.
 * Any change, or the stop button, ends it; what is done is kept.
 */
import { patiently } from './patient.js';

const REST = 1200;
/** How often all parts are asked for while some are unfinished. J: a busy minute passes within two more. */
const ROUNDS = 3;
let turn = 0;
let asking = new AbortController();
let timer = null;
let stopped = false;

/** Stops what is under way: something more urgent is being asked. */
export function rest() {
    turn += 1;
    asking.abort();
    asking = new AbortController();
    clearTimeout(timer);
    const line = document.querySelector('[data-sure]');
    if (line) {
        line.hidden = true;
    }
}

/** Begins, after a while without changes; calls done once all tanks are judged. */
export function compute(form, done) {
    rest();
    const line = document.querySelector('[data-sure]');
    if (!line || line.dataset.known === 'yes' || stopped) {
        return;
    }
    const mine = turn;
    timer = setTimeout(() => run(form, line, mine, done), REST);
}

async function run(form, line, mine, done) {
    let of = Infinity;
    let finished = 0;
    let all = false;
    const { signal } = asking;
    const words = line.querySelector('[data-sure-words]');
    line.querySelector('[data-sure-stop]').addEventListener('click', () => {
        stopped = true;
        rest();
    }, { once: true });
    const one = async (part) => {
        const body = new FormData();
        body.set('_token', form.elements._token.value);
        const response = await patiently(`${line.dataset.sure}/${part}`, { method: 'POST', body, signal });
        const answer = response.ok ? await response.json() : null;
        if (answer === null || mine !== turn || String(answer.base) !== form.elements.base.value) {
            of = 0;
            return;
        }
        of = answer.of;
        finished += 1;
        all = all || answer.done;
        line.hidden = false;
        words.textContent = `How sure is this? ${Math.round((100 * finished) / of)} % of the tanks judged`;
    };
    try {
        // Where the server is busy a part may not be finished in its time: those that are, are known when they are asked for again.
        for (let round = 0; round < ROUNDS && of > 0 && !all && mine === turn; round += 1) {
            finished = 0;
            for (let part = 0; part < of && mine === turn; part += 1) {
                await one(part);
            }
        }
    } catch {
        // Not reachable: the margins stand without their spread.
    }
    if (mine === turn) {
        line.hidden = true;
        if (all) {
            done();
        }
    }
}
