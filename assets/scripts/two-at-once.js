/**
 * Does numbered pieces of work on the server, two requests at once, in the order of their numbers.
 *
 * @param {number} from the first piece
 * @param {(piece: number) => boolean} more whether a piece is still wanted
 * @param {(piece: number) => Promise<void>} one does a piece; what it throws ends the work
 */
export function twoAtOnce(from, more, one) {
    let next = from;
    const worker = async () => {
        while (more(next)) {
            const piece = next;
            next += 1;
            await one(piece);
        }
    };
    return Promise.all([worker(), worker()]);
}
