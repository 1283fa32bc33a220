/** Runs requests one after another: each is made only when the one before it has been answered. */
export function inTurn(run) {
    let last = Promise.resolve();
    return (prepare) => {
        last = last.then(() => run(...prepare()));
        return last;
    };
}
