package zebrawood.core.route;

/** How a machine stands. The program never says more than that all that was checked passes and nothing is late. */
public enum MachineState {
    FAILED("failed", StopState.FAILED),
    NEEDS_ADJUSTING("needs adjusting", StopState.ADJUST),
    HALF_COMMISSIONED("half commissioned", StopState.BEGUN),
    UNCLEAR("unclear", StopState.UNCLEAR),
    DUE("due", StopState.DUE),
    NOT_BEGUN("not begun", StopState.OPEN),
    IN_ORDER("in order", StopState.PASSED);

    private final String word;
    private final StopState shape;

    MachineState(String word, StopState shape) {
        this.word = word;
        this.shape = shape;
    }

    public String word() {
        return word;
    }

    /** The state whose shape it is drawn with. */
    public StopState shape() {
        return shape;
    }
}
