package zebrawood.desktop.command;

/** Exit statuses, the same for every command. */
final class Exit {

    /** done, and nothing is wrong */
    static final int DONE = 0;
    /** done, and something is wrong: a chain does not hold, a machine is not known */
    static final int WRONG = 1;
    /** refused: worksheets or arguments that cannot be taken */
    static final int REFUSED = 2;

    private Exit() {}
}
