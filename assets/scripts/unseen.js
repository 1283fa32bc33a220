/** Drawings that are out of sight follow once nothing else is asked for: a turn of the tank and a print find them as they should be. */
import { swap, askParts } from './parts.js';

/** ms without another request. */
const REST = 400;
let timer = null;
let asked = 0;

/** Something more urgent begins: what has not come by now is of a tank that is about to change. */
export function stop() {
    clearTimeout(timer);
    asked += 1;
}

/** @param address says where the tank is to be had as seen from everywhere */
export function follow(answer, address) {
    stop();
    if (answer.outOfSight) {
        timer = setTimeout(() => fetchUnseen(asked, address()), REST);
    }
}

async function fetchUnseen(mine, address) {
    try {
        const response = await askParts(address);
        const { parts } = await response.json();
        if (mine === asked && parts !== undefined) {
            swap(parts, new Set());
        }
    } catch {
        // They are fetched with the next change; whoever turns to one asks for it and is told.
    }
}
