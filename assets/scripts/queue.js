/**
 * Runs requests one after another: each is made only when the one before it has been answered.
 *
 * @template {unknown[]} Args
 * @param {(...args: Args) => Promise<void>} run
 * @returns {(prepare: () => Args) => Promise<void>} what a request needs is read when its turn comes
 */
export function inTurn(run) {
    let last = Promise.resolve();
    return (prepare) => {
        last = last.then(() => run(...prepare()));
        return last;
    };
}
